import {
  type Order,
  advise,
  drawNormal,
  parseAdviceRequest,
  type Advice,
  type AdviceRequest,
  type Random,
  type Settings,
  type TrueTaste,
} from '../../core/src/index';
import { measuredShot } from '../../core/src/advice/advice.fixture';
import { brewSettings, COMFORTABLE, FAR, isRight, timeOf, type Game } from './worlds';

type Shot = AdviceRequest['shots'][number];

/** What a policy answers: pull this next, or claim that the last settings are right. */
export type Answer = { claim: true } | { claim: false; next: Settings; expect?: Advice['expect'] };
export interface Policy {
  name: string;
  /** A fresh player for one game. */
  start(game: Game): (shots: Shot[], at: Settings) => Answer;
}

export interface Played {
  /** Shots until correctly dialled; 11 for a false or missing claim. */
  score: number;
  firstGood: number | null;
  claimed: boolean;
  falseClaim: boolean;
  /** False by more than a hair: a second more, or a third of the tolerance. */
  farClaim: boolean;
  grams: number;
  /** Changes made although the settings were right. */
  needlessMoves: number;
  covered: number;
  predicted: number;
  answerMs: number[];
}

export const MAX_SHOTS = 10;
export const LOST = 11;
const PURGE_GRAMS = 12;

export function firstSettings(game: Game): Settings {
  const { target, startGrind, temperatureScale } = game;
  return {
    grind: startGrind,
    doseGrams: target.doseGrams,
    yieldGrams: target.yieldGrams,
    temperatureC: temperatureScale ? target.temperatureC : null,
  };
}

/** Plays one hidden world with one policy. */
export function play(game: Game, policy: Policy, random: Random): Played {
  const answer = policy.start(game);
  const shots: Shot[] = [];
  const result: Played = {
    score: LOST,
    firstGood: null,
    claimed: false,
    falseClaim: false,
    farClaim: false,
    grams: 0,
    needlessMoves: 0,
    covered: 0,
    predicted: 0,
    answerMs: [],
  };
  let settings = firstSettings(game);
  let heat = settings.temperatureC;
  let logDrift = 0;
  let expect: Advice['expect'] | undefined;
  for (let n = 1; n <= MAX_SHOTS; n += 1) {
    logDrift += drawNormal(random, 0, game.humiditySd);
    heat =
      heat === null || settings.temperatureC === null ? null : heat + game.heatArrives * (settings.temperatureC - heat);
    const before = shots.at(-1);
    const pulled = game.world.pull({
      settings: brewSettings({ ...settings, temperatureC: heat }),
      barista: game.barista,
      previousGrind: before?.grind ?? null,
      drift: Math.exp(logDrift),
      random,
    });
    const timeSeconds = Math.max(1, Math.min(300, Math.round(10 * timeOf(game, pulled)) / 10));
    const changed = before !== undefined && before.grind !== settings.grind;
    result.grams += pulled.doseGrams + (changed && pulled.purged ? PURGE_GRAMS : 0);
    if (expect) {
      result.predicted += 1;
      if (timeSeconds >= expect.timeSeconds.p10 && timeSeconds <= expect.timeSeconds.p90) result.covered += 1;
    }
    shots.push({
      ...measuredShot(settings, pulled),
      taste: markedLower(pulled.taste, game.strictness),
      timeSeconds,
      timer: game.target.timer,
      firstDripSeconds: n % 2 === 1 ? pulled.firstDripSeconds : null,
    });
    const right = isRight(game, settings, Math.exp(logDrift));
    if (right) result.firstGood ??= n;
    const began = performance.now();
    const said = answer(shots, settings);
    result.answerMs.push(performance.now() - began);
    if (said.claim) {
      result.claimed = true;
      result.falseClaim = !right;
      result.farClaim = !isRight(game, settings, Math.exp(logDrift), FAR);
      result.score = right ? n : LOST;
      return result;
    }
    if (right && JSON.stringify(said.next) !== JSON.stringify(settings)) result.needlessMoves += 1;
    settings = said.next;
    expect = said.expect;
  }
  return result;
}

/** The same words from somebody who marks lower. */
function markedLower(taste: TrueTaste, by: number): TrueTaste {
  const lower = (mark: number): number => Math.max(0, mark - by);
  return { ...taste, overall: lower(taste.overall), sweetness: lower(taste.sweetness) };
}

export function requestOf(game: Game, shots: Shot[], order?: Order): AdviceRequest {
  const { target, grindScale, finer, basket, temperatureScale, roast, method, learned, taster, startGrind } = game;
  return {
    schema: 'olvet.advice-request/1',
    id: 'bench',
    method: method.id,
    order,
    grinder: { ...grindScale, finer, dosing: 'weighed', purgeGrams: PURGE_GRAMS, logTimePerUnit: learned },
    basket,
    machine: { temperatureC: temperatureScale },
    coffee: { roast },
    target: {
      doseGrams: target.doseGrams,
      yieldGrams: target.yieldGrams,
      temperatureC: temperatureScale ? target.temperatureC : null,
      timeSeconds: { min: target.min, max: target.max },
      timer: target.timer,
      balance: 0,
      body: 0,
    },
    taster,
    start: { grind: startGrind },
    shots,
  };
}

/** Ours at either end of the dial: the advice itself, through its public face. */
export const ours = (order: Order): Policy => ({
  name: order,
  start: (game) => (shots) => {
    const parsed = parseAdviceRequest(requestOf(game, shots, order));
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
    const advice = advise(parsed.request);
    return advice.action === 'dialled'
      ? { claim: true }
      : { claim: false, next: advice.settings, expect: advice.expect };
  },
});

/** Knows the world: goes to the nearest setting that is comfortably right, or just right, and claims as soon as it stands there. */
export function oracle(find: (game: Game) => Settings): Policy {
  return {
    name: 'oracle',
    start: (game) => {
      const best = find(game);
      return (_shots, at) =>
        JSON.stringify(at) === JSON.stringify(best) || isRight(game, at, 1, COMFORTABLE)
          ? { claim: true }
          : { claim: false, next: best };
    },
  };
}
