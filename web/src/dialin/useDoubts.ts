import { doubtsOf, LIMITS, plainNumber, type Doubt, type DoubtedFigure, type Settings } from '@olvet/core';
import { App } from 'antd';
import type { SheetView } from '../app/api';

const WORDS: Record<DoubtedFigure, { called: string; unit: string }> = {
  grind: { called: 'Grind', unit: '' },
  doseGrams: { called: 'Dose', unit: ' g' },
  yieldGrams: { called: 'Yield', unit: ' g' },
  timeSeconds: { called: 'Time', unit: ' s' },
};

type Bounds = Pick<SheetView['basket'], 'minGrams' | 'maxGrams'>;

/** In service another basket may have been at hand: its size raises no doubt. */
export const ANY_BASKET: Bounds = { minGrams: LIMITS.doseGrams.min, maxGrams: LIMITS.doseGrams.max };

/** What is read of a sheet. */
export type Doubted = { basket: Bounds } & { run: Pick<SheetView['run'], 'target'> };

type Said = Partial<Record<DoubtedFigure, number | null>>;

/** What came of it. */
export type DoubtAnswer = 'no-doubt' | 'meant' | 'to-correct';

/** Asks once after figures that are possible but hardly meant. */
export function useDoubts({
  basket,
  run,
}: Doubted): (said: Said, aim: Omit<Settings, 'temperatureC'>) => Promise<DoubtAnswer> {
  const { modal } = App.useApp();
  const { min, max } = run.target.timeSeconds;
  return async (said, aim) => {
    const doubts = doubtsOf(said, { ...aim, timeSeconds: (min + max) / 2 }, basket);
    if (doubts.length === 0) return 'no-doubt';
    const isMeant = await modal.confirm({
      title: doubts.map(({ figure, said: value }) => `${inWords(figure, value)}?`).join(' '),
      content: doubts.map((doubt) => reason(doubt, basket)).join(' '),
      okText: 'It was so',
      cancelText: 'Correct it',
      autoFocusButton: 'cancel',
      // A slip of the finger is likelier than such a shot.
      okButtonProps: { type: 'default' },
      cancelButtonProps: { type: 'primary' },
    });
    return isMeant ? 'meant' : 'to-correct';
  };
}

function reason({ figure, likely }: Doubt, { minGrams, maxGrams }: Bounds): string {
  if (likely !== null) return `Did you mean ${inWords(figure, likely).toLowerCase()}?`;
  return `The basket takes ${plainNumber(minGrams)} to ${plainNumber(maxGrams)} g.`;
}

function inWords(figure: DoubtedFigure, value: number): string {
  return `${WORDS[figure].called} ${plainNumber(value)}${WORDS[figure].unit}`;
}
