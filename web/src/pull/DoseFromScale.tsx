import { LIMITS, plainNumber, roundTo } from '@olvet/core';
import { Button } from 'antd';
import type { PullHandle } from './usePull';

/** Still for so long, ms, within so little, g, it is a weight and not a hand. */
const STILL_MS = 1000;
const STILL_GRAMS = 0.3;
/** Nearer than this it is the dose that was taken already. */
const SAME_GRAMS = 0.2;

/** What lies on the scale before the shot, if that can be a dose: one tap takes it; a second one, after levelling, replaces it. */
export function DoseFromScale({
  handle,
  taken,
  onDose,
}: {
  handle: PullHandle;
  taken: number | null;
  onDose: (grams: number) => void;
}) {
  const grams = stillGrams(handle);
  if (grams === null || grams < LIMITS.doseGrams.min + 4 || grams > LIMITS.doseGrams.max) return null;
  if (taken !== null && Math.abs(taken - grams) < SAME_GRAMS) return null;
  return (
    <Button onClick={() => onDose(grams)}>
      {taken === null ? 'On the scale' : 'Levelled'}: {plainNumber(grams, 1)} g
    </Button>
  );
}

function stillGrams({ pull }: PullHandle): number | null {
  const last = pull.seen.at(-1);
  if (!last) return null;
  const recent = pull.seen.flatMap(([at, grams]) => (at >= last[0] - STILL_MS && grams !== null ? [grams] : []));
  if (recent.length < 3) return null;
  const [least, most] = [Math.min(...recent), Math.max(...recent)];
  return most - least > STILL_GRAMS ? null : roundTo((least + most) / 2, 1);
}
