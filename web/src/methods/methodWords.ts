import type { Lever, Method, Order } from '@olvet/core';
import { plainNumber } from '@olvet/core';
import { TIMER_WORDS, type TemperatureUnit } from '../parts/format';
import { inUnit } from '../parts/temperature';

export const LEVER_WORDS: Record<Lever, string> = {
  grind: 'grind',
  yield: 'yield',
  dose: 'dose',
  temperature: 'temperature',
};

/** What each lever does, for the reader of a method. */
export const LEVER_EFFECTS: Record<Lever, string> = {
  grind: 'Finer pours slower and moves from sour towards bitter. Purge after every change.',
  yield: 'Longer moves from sour towards bitter and gets thinner. The largest single lever; the grind stays.',
  dose: 'More coffee pours slower and heavier. Half a gram is a lot, and the basket has a maximum.',
  temperature: 'Hotter moves from sour towards bitter, the time hardly changes. One degree is noticeable.',
};

/** Whether the order of levers binds, and what each way costs and brings. */
export const ORDER_WORDS: Record<Order, { name: string; text: string }> = {
  'by-the-book': {
    name: 'by the book',
    text: 'One lever after the other, in this order: easy to follow and to teach, for about half a shot more a coffee.',
  },
  'fewest-shots': {
    name: 'fewest shots',
    text: 'Whichever lever promises most: about half a shot less a coffee, but yield may be turned before the grind.',
  },
};

/** Where practised people disagree, and what Olvet assumes. */
export const DISAGREEMENTS: { question: string; methods: string; assumed: string }[] = [
  {
    question: 'Where does the window lie?',
    methods: '20–30 s, 25–32 s, 30–35 s: every house has its own.',
    assumed: 'The method’s own window, and yours once you edit it. What counts is that it stays the same.',
  },
  {
    question: 'When does the clock start?',
    methods: 'With the pump, with the first drip, or with the first water on the puck.',
    assumed: 'The method says; a machine whose first drip was measured lets shots of both timer starts be compared.',
  },
  {
    question: 'Is time a target or an outcome?',
    methods: 'Some bring the time in first and taste then; some taste only and let the time fall where it will.',
    assumed: 'A target, except where a method says otherwise: with light roasts it is an outcome.',
  },
  {
    question: 'Light roasts: finer, or more yield and coarser?',
    methods: 'Finer gives more contact; coarser with more yield channels less.',
    assumed: 'Hotter once, then more yield, then coarser. The others stay open to you as alternatives.',
  },
  {
    question: 'Temperature first or last?',
    methods: 'Last, because it is slow to settle; or first, because light roasts need it.',
    assumed: 'Last, but first and once with light roasts.',
  },
  {
    question: 'How hard to tamp?',
    methods: 'A fixed force, or until it stops.',
    assumed: 'Either: constancy is what counts. A level tamp, a straight wrist.',
  },
  {
    question: 'Does crema mean quality?',
    methods: 'Many guests think so.',
    assumed: 'No. It tells freshness, roast and species as much.',
  },
];

const CONFIRM_WORDS: Record<number, string> = {
  0: 'by as many shots as the odds ask for',
  1: 'by one more shot at the same settings',
};

/** The facts of a method as name and value. */
export function factsOf(method: Method, unit: TemperatureUnit): [string, string][] {
  const { start, windowSeconds, timer, timeIs, temperatureC, locks, tolerance, confirmShots } = method;
  const low = Math.min(...Object.values(temperatureC));
  const high = Math.max(...Object.values(temperatureC));
  return [
    [
      'start',
      `${plainNumber(start.doseGrams)} → ${plainNumber(start.doseGrams * start.ratio, 0)} g, 1:${plainNumber(start.ratio)}`,
    ],
    [
      'time',
      `${windowSeconds.min}–${windowSeconds.max} s ${TIMER_WORDS[timer]}${timeIs === 'outcome' ? ', an outcome' : ', a target'}`,
    ],
    ['temperature', inUnit(low === high ? `${low} °C` : `${low}–${high} °C by roast`, unit)],
    ['holds still', locks.map((lever) => LEVER_WORDS[lever]).join(', ') || 'nothing'],
    [
      'close enough',
      `balance ±${plainNumber(tolerance.balance)}, body ±${plainNumber(tolerance.body)} on the taste scales`,
    ],
    ['confirmed', CONFIRM_WORDS[confirmShots] ?? `by ${confirmShots} more shots at the same settings`],
  ];
}
