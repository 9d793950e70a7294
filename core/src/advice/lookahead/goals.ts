import type { Lever } from '../../method/Method';
import type { Settings } from '../../contract/answer';
import type { Choice } from './choice';
import type { Posterior } from '../../belief/infer';
import { beliefOf, geometryOf, predict, type Prediction } from '../../belief/model';
import { movesOf } from './moves';
import { lookAt, type Outlook, type Particles } from '../../belief/particles';
import type { Problem } from '../../belief/problem';

/**
 * Settings worth ending at: here, every single move, and the pairs and triples of grind, or the dose in ratio that stands in for it, with
 * yield and temperature that hold the time in the window. The most promising ones stand for all.
 */
export function goalsOf(
  problem: Problem,
  posterior: Posterior,
  particles: Particles,
  still: Choice,
  candidates: Choice[],
): Outlook[] {
  const from = still.move.settings;
  const { method } = problem;
  const settingsOf = (lever: Lever): Settings[] =>
    method.locks.includes(lever) ? [] : movesOf(problem, posterior, from, lever).map(({ settings }) => settings);
  const yields = [from, ...settingsOf('yield')].map(({ yieldGrams }) => yieldGrams);
  const heats = [from, ...settingsOf('temperature')].map(({ temperatureC }) => temperatureC);
  // One belief for some hundred settings: taking its logarithms off each time would cost more than the predictions.
  const belief = beliefOf(posterior.mean, posterior.frame);
  const shotAt = (settings: Settings): Prediction =>
    predict(belief, posterior.frame, geometryOf(posterior.frame, settings));
  const grinds = [from, ...settingsOf('grind')]
    .map((settings) => ({ settings, outside: outside(problem, shotAt(settings)) }))
    .sort((a, b) => a.outside - b.outside)
    .slice(0, 6);
  const combined = grinds.flatMap(({ settings }) =>
    yields.flatMap((yieldGrams) => heats.map((temperatureC) => ({ ...settings, yieldGrams, temperatureC }))),
  );
  // Where the dose stands in for the grind one may end at it with another yield or heat, too: no detour by taking it back.
  const dosed = candidates
    .filter(({ move }) => move.lever === 'dose' && move.coupled)
    .flatMap(({ move: { settings } }) => {
      const poured = method.locks.includes('yield') ? [] : movesOf(problem, posterior, settings, 'yield');
      return [settings, ...poured.map((move) => move.settings)].flatMap((one) =>
        heats.map((temperatureC) => ({ ...one, temperatureC })),
      );
    });
  // A cheap look by the mean belief alone first; the particles judge only what passes.
  const near = [...combined, ...dosed]
    .map((settings) => ({ settings, miss: missBy(problem, shotAt(settings)) }))
    .sort((a, b) => a.miss - b.miss)
    .slice(0, 12)
    .map(({ settings }) => lookAt(problem, posterior, particles, settings));
  const single = [...candidates].sort((a, b) => b.outlook.goodShare - a.outlook.goodShare).slice(0, 6);
  return [still.outlook, ...single.map(({ outlook }) => outlook), ...near];
}

/** Seconds a shot lies from the window's middle. */
function outside(problem: Problem, shot: Prediction): number {
  const { min, max } = problem.request.target.timeSeconds;
  return Math.abs(shot.timeSeconds - (min + max) / 2);
}

/** How far a shot lies from the wanted one, in tolerances. */
function missBy(problem: Problem, shot: Prediction): number {
  const { target } = problem.request;
  const { tolerance } = problem.method;
  const beyond = Math.max(0, target.timeSeconds.min - shot.timeSeconds, shot.timeSeconds - target.timeSeconds.max);
  const sour = (shot.balance - target.balance) / tolerance.balance;
  const thin = (shot.body - target.body) / tolerance.body;
  return Math.sqrt(sour * sour + thin * thin + (beyond / 2) ** 2);
}
