import { SETTING_OF, type Change, type Settings } from './answer';

/** What differs between two settings, in the order a barista would set it. */
export function changesBetween(from: Settings, to: Settings): Change[] {
  const order: (keyof Settings)[] = ['grind', 'doseGrams', 'yieldGrams', 'temperatureC'];
  return order.flatMap((variable) => {
    const before = from[variable];
    const after = to[variable];
    if (before === null || after === null || Math.abs(before - after) < 1e-9) return [];
    return [{ variable, from: before, to: after }];
  });
}

/** Which way a lever moved: finer, hotter, more = +1. `finerSign` is −1 where finer is the lower number. */
export function directionOf({ finerSign }: { finerSign: 1 | -1 }, change: Change): 1 | -1 {
  const isUp = change.to > change.from;
  if (change.variable === SETTING_OF.grind) return isUp === finerSign > 0 ? 1 : -1;
  return isUp ? 1 : -1;
}
