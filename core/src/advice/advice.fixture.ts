import type { MeasuredPull } from '../puck';
import type { Settings } from '../contract/answer';
import { readEvidence, type Evidence } from './shots/evidence';
import { infer } from '../belief/infer';
import type { Outlook } from '../belief/particles';
import { readProblem, type Problem } from '../belief/problem';
import { adviceRequestSchema, type AdviceRequest } from '../contract/request';

type Shot = AdviceRequest['shots'][number];

/** The everyday request the tests start from: a medium roast on an ordinary grinder, standing at 14. */
export function everydayRequest(change: Partial<AdviceRequest> = {}): AdviceRequest {
  return {
    schema: 'olvet.advice-request/1',
    id: 'test',
    method: 'balance-walk',
    grinder: { min: 0, max: 40, step: 0.5, finer: 'lower', dosing: 'timed', purgeGrams: 12, logTimePerUnit: null },
    basket: { nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    machine: { temperatureC: { min: 88, max: 97, step: 0.5 } },
    coffee: { roast: 'medium', process: 'washed', altitudeM: 1650, ageDays: 14 },
    target: {
      doseGrams: 18,
      yieldGrams: 36,
      temperatureC: 93,
      timeSeconds: { min: 25, max: 32 },
      timer: 'pump-on',
      balance: 0,
      body: 0,
    },
    start: { grind: 14 },
    shots: [],
    ...change,
  };
}

/** A shot at everyday settings; taste given as balance and body. */
export function everydayShot(change: Shot = {}): Shot {
  return {
    grind: 14,
    doseGrams: 18,
    yieldGrams: 36,
    temperatureC: 93,
    planned: { doseGrams: 18, yieldGrams: 36 },
    timeSeconds: 28,
    timer: 'pump-on',
    seen: [],
    purged: true,
    taste: { balance: 0, body: 0, dryness: 0 },
    ...change,
  };
}

/** A simulated shot as a barista would enter it, timed from pump on. */
export function measuredShot(settings: Settings, pulled: MeasuredPull) {
  return {
    grind: settings.grind,
    doseGrams: pulled.doseGrams,
    yieldGrams: pulled.yieldGrams,
    temperatureC: settings.temperatureC,
    planned: { doseGrams: settings.doseGrams, yieldGrams: settings.yieldGrams },
    timeSeconds: pulled.pumpOnSeconds,
    timer: 'pump-on',
    seen: pulled.seen,
    purged: pulled.purged,
    taste: pulled.taste,
  } satisfies Shot;
}

/** The everyday request as the model sees it. */
export function problemOf(change: Partial<AdviceRequest> = {}): Problem {
  return readProblem(adviceRequestSchema.parse(everydayRequest(change)));
}

/** What is known after these shots, for tests of single rules. */
export function after(shots: Shot[], change: Partial<AdviceRequest> = {}): { problem: Problem; evidence: Evidence } {
  const problem = problemOf({ ...change, shots });
  return { problem, evidence: readEvidence(problem, infer(problem))! };
}

/** Settings believed in so much, for rules that ask no more of an outlook. */
export function believed(goodShare: number, windowShare = goodShare, tasteShare = goodShare): Outlook {
  return { goodShare, windowShare, tasteShare } as Outlook;
}

/** A cup to serve, and one plainly sour, both in the window. */
export const RIGHT_SHOT = everydayShot({ timeSeconds: 29, taste: { balance: 0, body: 0, sweetness: 7.5, overall: 8 } });
export const SOUR_SHOT = everydayShot({ timeSeconds: 29, taste: { balance: -1.5, body: 0 } });
