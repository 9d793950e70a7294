/**
 * Throws a RangeError naming the caller and the first value that is not a positive finite number.
 */
export function requirePositive(caller: string, values: Record<string, number>): void {
  for (const [name, value] of Object.entries(values)) {
    if (!(Number.isFinite(value) && value > 0)) {
      throw new RangeError(`${caller}: ${name} must be a positive number, got ${value}`);
    }
  }
}
