import { Button } from 'antd';

export interface NextActionsProps {
  /** The advice is to keep the recipe, and nothing else was chosen. */
  dialled: boolean;
  /** The next shot is the last one once more; a second button for that would only ask which of the two is meant. */
  isAgain: boolean;
  isFirst: boolean;
  onTake: () => void;
  onPullAgain: () => void;
  onKeep: () => void;
  onGiveUp: () => void;
}

/** The largest thing on the sheet: what to do now. */
export function NextActions({ dialled, isAgain, isFirst, onTake, onPullAgain, onKeep, onGiveUp }: NextActionsProps) {
  const takeWord = isAgain ? 'Pull again' : isFirst ? 'Pull it' : 'Take it';
  return (
    <>
      {dialled ? (
        <Button type="primary" size="large" onClick={onKeep}>
          Keep as card <kbd>Enter</kbd>
        </Button>
      ) : (
        <Button type="primary" size="large" onClick={onTake}>
          {takeWord} <kbd>Enter</kbd>
        </Button>
      )}
      {!isFirst && (dialled || !isAgain) && (
        <Button size="large" onClick={onPullAgain}>
          Pull again <kbd>r</kbd>
        </Button>
      )}
      {!dialled && !isFirst && (
        <Button size="large" onClick={onKeep}>
          Keep as card
        </Button>
      )}
      <Button size="large" type="text" onClick={onGiveUp}>
        Give up
      </Button>
    </>
  );
}
