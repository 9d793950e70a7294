import { roundTo, snap, type Settings } from '../../core/src/index';
import type { Policy } from './play';
import type { Game } from './worlds';

const finerSign = (game: Game): number => (game.finer === 'higher' ? 1 : -1);
const stepOf = (game: Game): number => (game.grindScale.step > 0 ? game.grindScale.step : 0.25);

function finerBy(game: Game, settings: Settings, units: number): Settings {
  const grind = snap(settings.grind + finerSign(game) * units, game.grindScale);
  if (grind !== settings.grind || units === 0) return { ...settings, grind };
  // At the end of the scale: more or less coffee, yield in ratio.
  const doseGrams = Math.min(
    game.basket.maxGrams,
    Math.max(game.basket.minGrams, settings.doseGrams + 0.5 * Math.sign(units)),
  );
  return { ...settings, doseGrams, yieldGrams: roundTo((settings.yieldGrams * doseGrams) / settings.doseGrams, 1) };
}

interface Cup {
  balance: number;
  body: number;
}

/** The fixed ladder once the time is right: body by yield, balance by a notch of grind, then by a degree. */
function tasteMove(game: Game, at: Settings, { balance, body }: Cup, notch: number, movedGrind: boolean): Settings {
  const mayYield = !game.method.locks.includes('yield');
  if (Math.abs(body) > 1 && mayYield) return { ...at, yieldGrams: at.yieldGrams + (body < 0 ? -2 : 2) };
  if (!movedGrind || !game.temperatureScale || game.method.locks.includes('temperature')) {
    return finerBy(game, at, balance < 0 ? notch : -notch);
  }
  const temperatureC = snap(at.temperatureC! + (balance < 0 ? 1 : -1), game.temperatureScale);
  return { ...at, temperatureC };
}

const isGoodCup = ({ balance, body }: Cup): boolean => Math.abs(balance) <= 0.5 && Math.abs(body) <= 1;

/** One notch a shot. */
export const stepper: Policy = {
  name: 'step',
  start: (game) => (shots, at) => {
    const last = shots.at(-1)!;
    const time = last.timeSeconds!;
    if (time < game.target.min) return { claim: false, next: finerBy(game, at, stepOf(game)) };
    if (time > game.target.max) return { claim: false, next: finerBy(game, at, -stepOf(game)) };
    const cup = last.taste as Cup;
    if (isGoodCup(cup)) return { claim: true };
    return { claim: false, next: tasteMove(game, at, cup, stepOf(game), false) };
  },
};

/**
 * What a good barista with a pencil does: the near-log law with a slope guessed at first and then taken from the last two
 * settings, the taste ladder once in the window, a repeat after a seen channel, one confirming shot if `confirm`.
 */
export function rule(confirm: boolean): Policy {
  return {
    name: confirm ? 'rule, confirming' : 'rule',
    start: (game) => {
      let slope = game.learned?.mean ?? (game.grindScale.step > 0 ? 0.05 / Math.max(0.5, game.grindScale.step) : 0.09);
      let movedGrind = false;
      let goodInARow = 0;
      return (shots, at) => {
        const last = shots.at(-1)!;
        const before = shots.at(-2);
        if ((last.seen?.length ?? 0) > 0 && last.seen!.includes('spurts') && !before?.seen?.includes('spurts')) {
          return { claim: false, next: at };
        }
        if (last.purged === false) return { claim: false, next: at };
        if (before && before.grind !== last.grind) {
          const units = finerSign(game) * (last.grind! - before.grind!);
          const seen = Math.log(last.timeSeconds! / before.timeSeconds!) / units;
          if (seen > 0.2 * slope && seen < 5 * slope) slope = 0.5 * slope + 0.5 * seen;
        }
        const time = last.timeSeconds!;
        const cup = last.taste as Cup;
        const isOutcome = game.method.timeIs === 'outcome';
        if (time < game.target.min || time > game.target.max) {
          goodInARow = 0;
          const middle = (game.target.min + game.target.max) / 2;
          const wanted = Math.log(middle / time) / slope;
          const step = stepOf(game);
          const units = Math.sign(wanted) * Math.max(step, Math.round(Math.abs(wanted) / step) * step);
          return { claim: false, next: finerBy(game, at, Math.max(-10, Math.min(10, units))) };
        }
        if (isGoodCup(cup)) {
          goodInARow += 1;
          if (goodInARow >= (confirm ? 2 : 1)) return { claim: true };
          return { claim: false, next: at };
        }
        goodInARow = 0;
        if (isOutcome && game.temperatureScale && shots.length === 1 && cup.balance < -0.5) {
          return { claim: false, next: { ...at, temperatureC: snap(at.temperatureC! + 1.5, game.temperatureScale) } };
        }
        const notch = Math.max(stepOf(game), Math.round(0.04 / slope / stepOf(game)) * stepOf(game));
        const next = tasteMove(game, at, cup, notch, movedGrind);
        movedGrind = next.grind !== at.grind;
        return { claim: false, next };
      };
    },
  };
}
