import { EFFECTS, plainNumber, type EffectName } from '@olvet/core';
import type { LearnedEffectView, LearnedHereView } from '../app/api';

/** Fewer days than this teach nothing that the rule of thumb did not say. */
const TELLS_DAYS = 5;
/** Half of what four in five lie within, in spreads. */
const FOUR_IN_FIVE = 1.2816;

/** Said of so many units, in words; ageing is told in the forecast itself. */
const SAID: Partial<Record<EffectName, { units: number; of: string }>> = {
  humidity: { units: 10, of: '10 % more humidity' },
  warmth: { units: 5, of: '5 °C warmer' },
  hour: { units: 4, of: 'four hours of service' },
};

/** "Here 10 % more humidity has meant +0.8 s (±0.5, 41 days)." Empty as long as nothing was learned. */
export function learnedInWords(
  { effects, forecasts }: LearnedHereView,
  foundSeconds: number,
  names: readonly EffectName[] = EFFECTS,
): string {
  const told = effects.filter(({ name }) => names.includes(name));
  const said = told.flatMap((effect) => effectInWords(effect, foundSeconds) ?? []);
  const { hits, mornings } = forecasts;
  return [
    ...(said.length > 0 ? [`Here ${said.join(', ')}.`] : []),
    ...(mornings > 0 ? [`Forecasts held on ${hits} of ${mornings} ${mornings === 1 ? 'morning' : 'mornings'}.`] : []),
  ].join(' ');
}

function effectInWords({ name, mean, sd, days }: LearnedEffectView, foundSeconds: number): string | null {
  const said = SAID[name];
  if (!said || days < TELLS_DAYS) return null;
  const seconds = foundSeconds * Math.expm1(said.units * mean);
  const doubt = foundSeconds * said.units * FOUR_IN_FIVE * sd;
  const sign = seconds < 0 ? '−' : '+';
  return `${said.of} has meant ${sign}${plainNumber(Math.abs(seconds), 1)} s (±${plainNumber(doubt, 1)}, ${days} days)`;
}
