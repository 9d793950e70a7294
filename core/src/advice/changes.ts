import type { Change, Settings } from './answer';

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
