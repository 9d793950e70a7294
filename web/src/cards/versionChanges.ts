import { plainNumber } from '@olvet/core';
import type { CardVersionView, RecipeDto } from '../app/api';
import { temperatureNumber, type TemperatureUnit } from '../parts/format';

type Field = 'grind' | 'doseGrams' | 'yieldGrams' | 'valveGrams';
const FIELDS: [Field, string][] = [
  ['grind', 'grind'],
  ['doseGrams', 'dose g'],
  ['yieldGrams', 'yield g'],
  ['valveGrams', 'valve g'],
];

/** What a version changed against the one before, in a few words each. */
export function versionChanges(
  now: CardVersionView,
  before: CardVersionView | undefined,
  unit: TemperatureUnit,
): string[] {
  if (!before) return ['first version'];
  const show = (value: number | null | undefined): string => (value == null ? 'none' : plainNumber(value));
  const changes = FIELDS.filter(([field]) => (now.recipe[field] ?? null) !== (before.recipe[field] ?? null)).map(
    ([field, name]) => `${name} ${show(before.recipe[field])} → ${show(now.recipe[field])}`,
  );
  const heatOf = ({ temperatureC }: RecipeDto): string =>
    temperatureC == null ? 'none' : temperatureNumber(temperatureC, unit);
  if (heatOf(now.recipe) !== heatOf(before.recipe)) {
    changes.push(`temperature °${unit} ${heatOf(before.recipe)} → ${heatOf(now.recipe)}`);
  }
  const windowOf = ({ timeSeconds }: RecipeDto): string => `${timeSeconds.min}–${timeSeconds.max}`;
  if (windowOf(now.recipe) !== windowOf(before.recipe)) {
    changes.push(`window ${windowOf(before.recipe)} → ${windowOf(now.recipe)} s`);
  }
  if (now.tastesLike !== before.tastesLike) changes.push('words for its taste');
  return changes.length === 0 ? ['confirmed as it was'] : changes;
}
