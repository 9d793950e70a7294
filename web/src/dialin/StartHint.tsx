import { plainNumber, type Settings } from '@olvet/core';
import { Button } from 'antd';
import { useGetStartQuery, type SheetView } from '../app/api';
import styles from './StartHint.module.css';

/** Before the first shot: where this grinder stood for coffees like this one, and another start where that says otherwise. */
export function StartHint({
  sheet,
  ghost,
  onTake,
}: {
  sheet: SheetView;
  ghost: Settings;
  onTake: (settings: Settings) => void;
}) {
  const { run, grinder } = sheet;
  const { doseGrams, yieldGrams, timeSeconds } = run.target;
  const middleSeconds = (timeSeconds.min + timeSeconds.max) / 2;
  const { grinderId, coffeeId, basketId } = run;
  const { data: start } = useGetStartQuery({ grinderId, coffeeId, basketId, doseGrams, yieldGrams, middleSeconds });
  if (!start || start.grind === null) return null;
  // This coffee's own last shots are newer news than old recipes.
  if (run.startSd != null) return null;
  // A hint well inside its own spread would be fiddling.
  const worthSaying = Math.max(0.01, grinder.step / 2, (start.sd ?? 0) / 2);
  const isOther = Math.abs(start.grind - ghost.grind) >= worthSaying;
  if (!isOther && !run.suggestedStart) return null;
  const grind = start.grind;
  const witnesses = start.from.map(({ coffeeName, grind: stood }) => `${coffeeName} at ${plainNumber(stood)}`);
  const kept = `${grinder.name} has kept ${[...new Set(witnesses)].join(', ')}.`;
  if (!isOther) return <p className={styles.hint}>{kept}</p>;
  return (
    <p className={styles.hint}>
      <span>
        {kept} For this coffee that makes about <strong className="numeral">{plainNumber(grind)}</strong> (±
        {plainNumber(start.sd ?? 0, 1)}).
      </span>
      <Button onClick={() => onTake({ ...ghost, grind })}>Start at {plainNumber(grind)}</Button>
    </p>
  );
}
