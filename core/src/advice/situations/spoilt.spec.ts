import { finer, coarser, does, tasting, shot, grinder, walk, judge, type Situation } from './situations.fixture';

const SITUATIONS: Situation[] = [
  {
    name: 'sour and harsh: the puck, not the grind',
    ask: { shots: [shot(27, tasting(-1.5, 0, { dryness: 2.5 }))] },
    expect: does('prepare'),
  },
  {
    name: 'spurts twice: the puck',
    ask: { shots: [shot(22, tasting(-1), { seen: ['spurts'] }), shot(23, tasting(-1), { seen: ['spurts'] })] },
    expect: does('prepare'),
  },
  {
    name: 'spurts a third time in spite of care, and slow enough: coarser, the bed is too tight',
    ask: { shots: [1, 2, 3].map(() => shot(29, tasting(-1), { seen: ['spurts'] })) },
    expect: coarser,
  },
  {
    name: 'spurts a third time, but gushing: not coarser still',
    ask: { shots: [1, 2, 3].map(() => shot(17, tasting(-2), { seen: ['spurts'] })) },
    expect: finer,
  },
  {
    name: 'spurts and far too slow all the same: coarser at once',
    ask: { shots: [shot(20, tasting(-2)), shot(95, tasting(2), { grind: 9, seen: ['spurts'] })] },
    expect: coarser,
  },
  {
    name: 'spurts four times at settings believed right: the puck again, no word of noise',
    ask: {
      ...walk,
      shots: [
        shot(21, tasting(-1.5, -1, { overall: 5 }), { grind: 16 }),
        ...[25, 25.5, 25.2, 25.2].map((seconds) =>
          shot(seconds, tasting(-0.5, 0, { dryness: 1, overall: 6 }), { grind: 13, seen: ['spurts'] }),
        ),
      ],
    },
    expect: (a) => a.action === 'prepare' && a.why.every(({ code }) => code !== 'confirm'),
  },
  {
    name: 'balanced but harsh: better preparation, no card',
    ask: { shots: [shot(29, tasting(0, 0, { dryness: 2.5 }))] },
    expect: does('prepare'),
  },
  {
    name: 'three units finer on a known grinder and nothing happened: the purge is suspected first',
    ask: {
      grinder: { ...grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } },
      shots: [shot(20, tasting(-1)), shot(20.3, tasting(-1), { grind: 11 })],
    },
    expect: (a) => a.action === 'repeat' && a.why.some(({ text }) => /too little purge, a channel/.test(text)),
  },
  {
    name: 'sour and harsh again after care: coarser, never finer after the sourness',
    ask: { shots: [1, 2].map(() => shot(29, tasting(-1.5, 0, { dryness: 2.5 }))) },
    expect: coarser,
  },
  {
    name: 'a change without a purge proves nothing',
    ask: { shots: [shot(20, tasting(-1)), shot(21, tasting(-1), { grind: 12, purged: false })] },
    expect: does('repeat'),
  },
  {
    name: 'finer, and yet faster, on a strange grinder: the purge is suspected, no leap',
    ask: { ...walk, grinder, shots: [shot(22, tasting(-1, -1)), shot(19, tasting(-1, -1), { grind: 11.5 })] },
    expect: (a) =>
      a.action === 'repeat' && a.why.some(({ text }) => /is finer, and yet the shot ran 3 s faster/.test(text)),
  },
  {
    name: 'a strange grinder that did not answer at all: the purge is suspected before the grinder',
    ask: { ...walk, grinder, shots: [shot(22, tasting(-1, -1)), shot(22, tasting(-1, -1), { grind: 11 })] },
    expect: (a) => a.action === 'repeat' && a.why.some(({ text }) => /by rule of thumb and hardly did/.test(text)),
  },
  {
    name: 'bitter and harsh from a shot far too short: water went round the coffee, so the bed first',
    ask: { ...walk, shots: [shot(21, tasting(1.5, -1, { dryness: 2, overall: 4 }))] },
    expect: (a) => a.action === 'prepare' && a.why[0]!.text.startsWith('A harsh cup from so short a shot'),
  },
  {
    name: 'bitter and harsh from a slow shot: drawn out too far, so coarser',
    ask: { ...walk, shots: [shot(40, tasting(1.5, 1, { dryness: 2, overall: 4 }))] },
    expect: coarser,
  },
  {
    name: 'spurts and short by a quarter, at the first pull: the bed first, it says little of the grind',
    ask: { ...walk, shots: [shot(20.5, tasting(-1.5, -1), { seen: ['spurts'] })] },
    expect: does('prepare'),
  },
  {
    name: 'spurts and a mere third of the time: too coarse besides',
    ask: { ...walk, shots: [shot(10, tasting(-2, -2), { seen: ['spurts'] })] },
    expect: finer,
  },
  {
    name: 'dry though neither sour nor bitter: the bed first, then coarser',
    ask: { ...walk, shots: [shot(30, tasting(0, 0, { dryness: 1.5 }))] },
    expect: (a) => a.action === 'prepare' && a.why[0]!.text.startsWith('A dry cup that is not bitter'),
  },
  {
    name: 'dry a second time, with care: coarser',
    ask: { ...walk, shots: [30, 30].map((seconds) => shot(seconds, tasting(0, 0, { dryness: 1.5 }))) },
    expect: coarser,
  },
  {
    name: 'liked at settings that stood once unpurged and once purged: it stood once, so again',
    ask: {
      ...walk,
      shots: [
        shot(22, tasting(-1, -1)),
        shot(25, tasting(-1), { grind: 12, purged: false }),
        shot(27.5, tasting(0, 0, { overall: 7.5, sweetness: 7 }), { grind: 12 }),
      ],
    },
    expect: does('repeat'),
  },
];

describe('faced with spoilt shots a barista of ten years would', () => {
  it.each(SITUATIONS.map((situation) => [situation.name, situation] as const))('%s', (_, situation) => {
    const [said, isGood] = judge(situation);
    expect([said, isGood]).toEqual([said, true]);
  });
});
