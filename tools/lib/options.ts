import { Stop } from './say';

/**
 * A whole number that a person gave.
 *
 * @param name of the option or variable, as the person wrote it
 * @throws Stop, naming it and what it may be
 */
export function wholeNumber(name: string, given: string, { min, max }: { min: number; max: number }): number {
  const value = Number(given);
  if (/^\d+$/.test(given) && value >= min && value <= max) return value;
  throw new Stop(`${name} is “${given}”: give a whole number from ${min} to ${max}.`);
}

/**
 * One of a list.
 *
 * @throws Stop, naming the option and the list
 */
export function oneOf<Name extends string>(name: string, given: string, names: readonly Name[]): Name {
  const found = names.find((one) => one === given);
  if (found === undefined) throw new Stop(`${name} is “${given}”: give one of “${names.join('”, “')}”.`);
  return found;
}
