import { plainNumber } from '../../advice/words/words';
import type { DayReason, DayReasonCode, Suspect } from './contract';

const number = (value: number | string | undefined): string =>
  typeof value === 'number' ? plainNumber(value, 1) : String(value);
const seconds = ({ seconds: value }: DayReason['facts']): string => `${number(Math.abs(Number(value)))} s`;

const SUSPECT_WORDS: Readonly<Record<Suspect, string>> = {
  bag: 'the new bag',
  hopper: 'the hopper that was filled',
  cleaned: 'the cleaning',
  humidity: 'the air, damper or drier',
  warmth: 'the room, warmer or cooler',
  grinder: 'the grinder, which lets more through',
};

/** One sentence for each reason. */
export const REASON_TEXTS: Readonly<Record<DayReasonCode, (facts: DayReason['facts']) => string>> = {
  'no-shots': () => 'No shot yet today.',
  'on-time': (facts) => `Within ${seconds(facts)} of the time it was found at.`,
  'one-odd': ({ seconds: value }) => `${number(value)} s once: pull another before you touch anything.`,
  maybe: () => 'The last shots lean away from the found time: pull another before you touch anything.',
  run: ({ shots, seconds: value, side }) =>
    `${shots === 2 ? 'Two' : number(shots)} shots in a row, about ${number(value)} s ${side}.`,
  'dose-creeps': ({ grams }) =>
    `The same seconds give ${number(Math.abs(Number(grams)))} g ${Number(grams) > 0 ? 'more' : 'less'}: the grind has gone ${Number(grams) > 0 ? 'coarser' : 'finer'}. Grind first, then seconds.`,
  suspects: ({ suspects }) =>
    `Perhaps ${String(suspects)
      .split(', ')
      .map((each) => SUSPECT_WORDS[each as Suspect])
      .join(', ')}.`,
  turned: (facts) => `Turned away from the card on purpose; within ${seconds(facts)} of where that lies.`,
  'just-turned': () => 'The grind was turned: purge, and pull one.',
  'no-step': () => 'No step of the grinder comes nearer.',
  limit: () => 'What may be turned in a day is used up: dial in.',
  'did-not-help': () => 'Two moves did not help: dial in.',
};
