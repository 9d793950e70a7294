import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

export type Shot = AdviceRequest['shots'][number];
export type Check = (advice: Advice) => boolean;

/** A question, and what a barista of ten years would call a good answer to it. */
export interface Situation {
  name: string;
  ask: Partial<AdviceRequest>;
  expect: Check;
}

export const variables = (advice: Advice): string => advice.changed.map(({ variable }) => variable).join('+');
export const finer: Check = (a) => variables(a) === 'grind' && a.settings.grind < a.changed[0]!.from;
export const coarser: Check = (a) => variables(a) === 'grind' && a.settings.grind > a.changed[0]!.from;
export const cooler: Check = (a) => variables(a) === 'temperatureC' && a.settings.temperatureC! < a.changed[0]!.from;
export const hotter: Check = (a) => variables(a) === 'temperatureC' && a.settings.temperatureC! > a.changed[0]!.from;
export const shorter: Check = (a) => variables(a) === 'yieldGrams' && a.settings.yieldGrams < a.changed[0]!.from;
export const longer: Check = (a) => variables(a) === 'yieldGrams' && a.settings.yieldGrams > a.changed[0]!.from;
export const does =
  (action: Advice['action']): Check =>
  (a) =>
    a.action === action;

export const tasting = (balance: number, body = 0, more: object = {}) => ({ balance, body, dryness: 0, ...more });
export const sweet = tasting(0, 0, { sweetness: 7.5, overall: 8.5 });
export const shot = (timeSeconds: number | null, taste: Shot['taste'] = sweet, more: Shot = {}): Shot =>
  everydayShot({ timeSeconds, taste, ...more });

export const grinder = everydayRequest().grinder;
const known = { ...grinder, logTimePerUnit: { mean: 0.09, sd: 0.02, shots: 30 } };
/** A known grinder and a window of 27–33 s. */
export const walk = { target: { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } }, grinder: known };

/** What was answered, in short, and whether that is a good answer: the first stands in a failure. */
export function judge({ ask, expect: check }: Situation): [said: string, isGood: boolean] {
  const advice = answer(everydayRequest(ask)) as Advice;
  return [`${advice.action} ${JSON.stringify(advice.changed)}`, check(advice)];
}
