import { plainNumber } from '@olvet/core';
import type { CardVersionView, RecipeDto } from '../app/api';
import { temperatureNumber, type TemperatureUnit } from '../parts/format';

type Field = 'grind' | 'grindSeconds' | 'doseGrams' | 'yieldGrams' | 'soakSeconds' | 'valveGrams' | 'cups';
const FIELDS: [Field, string][] = [
  ['grind', 'grind'],
  ['grindSeconds', 'ground s'],
  ['doseGrams', 'dose g'],
  ['yieldGrams', 'yield g'],
  ['soakSeconds', 'soak s'],
  ['valveGrams', 'valve g'],
  ['cups', 'cups'],
];

export const UNCHANGED = 'confirmed as it was';

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
  const groupOf = ({ groupName }: RecipeDto): string => groupName || 'any';
  if (groupOf(now.recipe) !== groupOf(before.recipe)) {
    changes.push(`group ${groupOf(before.recipe)} → ${groupOf(now.recipe)}`);
  }
  if (now.tastesLike !== before.tastesLike) changes.push('words for its taste');
  return changes.length === 0 ? [UNCHANGED] : changes;
}
