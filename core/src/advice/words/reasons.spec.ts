import fc from 'fast-check';
import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Parameters<typeof everydayRequest>[0]): Advice => answer(everydayRequest(change)) as Advice;

describe('reasons', () => {
  const codes = (change: Parameters<typeof everydayRequest>[0]): string[] => ask(change).why.map(({ code }) => code);
  const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };

  it('name what was off in a shot that missed its recipe', () => {
    const why = (measured: Parameters<typeof everydayShot>[0]) =>
      ask({ shots: [everydayShot({ timeSeconds: 27, ...measured })] }).why[0];
    expect(why({ doseGrams: 16.8 })).toEqual({
      code: 'strayed',
      text: 'The dose was 16.8 g instead of 18 g: that alone moves time and taste. Weigh it again and pull the same.',
    });
    expect(why({ yieldGrams: 41 })!.text).toMatch(/^41 g instead of 36 g ran into the cup/);
  });

  it('say that mark and word disagree only where there is a word', () => {
    const confirm = (taste: object): string => {
      const shots = [everydayShot({ timeSeconds: 29, taste: { sweetness: 8, overall: 9, ...taste } })];
      return textOf(ask({ target, shots }), 'confirm')!;
    };
    expect(confirm({ balance: -1, body: 0 })).toMatch(/^Marked 9 of 10 and yet called off by a little/);
    expect(confirm({})).toMatch(/^One more at the same settings: so far/);
  });

  it('tell drift from noise: the second odd shot in a row, not the first', () => {
    const late = everydayShot({ timeSeconds: 35, taste: { balance: 1, body: 0.5 } });
    const series = [28, 29, 28.5].map((timeSeconds) => everydayShot({ timeSeconds }));
    expect(codes({ shots: [...series, late] })).toContain('surprise');
    // Nothing was turned, so nobody can have forgotten to purge.
    expect(textOf(ask({ shots: [...series, late] }), 'suspects')).toBe(
      'If it repeats, suspect in this order: a channel, a dose off target, a group not yet settled.',
    );
    const twice = ask({ shots: [...series, late, late] });
    expect(twice.why[0]!.text).toMatch(/^Twice in a row slower than the shots before/);
    expect(twice.why.map(({ code }) => code)).not.toContain('surprise');
    expect(codes({ shots: [...series, late, late, everydayShot({ grind: 15 })] })).not.toContain('drifted');
  });

  it('say what a change should have done on a known grinder', () => {
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const shots = [everydayShot({ timeSeconds: 20 }), everydayShot({ grind: 11, timeSeconds: 20.4 })];
    const { why } = ask({ grinder, shots });
    expect(why[0]!.text).toBe('14 → 11 should have made the shot about 5.4 s slower on this grinder and hardly did.');
    expect(why[1]!.text).toMatch(
      /too little purge, a channel, a dose off target, a group not yet settled\. Purge well/,
    );
  });

  it.each([
    [{ planned: { doseGrams: 18.5, yieldGrams: 34 } }, /^Dose and yield were changed at once/],
    [{ grind: 12, temperatureC: 95 }, /^Grind and temperature were changed at once/],
    [
      { grind: 12, temperatureC: 95, planned: { doseGrams: 18, yieldGrams: 40 } },
      /^Grind, yield and temperature were changed at once/,
    ],
  ])('tell a hasty hand that two levers teach nothing: %j', (change, expected) => {
    const shots = [everydayShot({ timeSeconds: 22 }), everydayShot({ timeSeconds: 30, ...change })];
    expect(textOf(ask({ shots }), 'two-at-once')).toMatch(expected);
  });

  it('say nothing of haste where dose and yield went in ratio, or one lever was turned', () => {
    const after = (change: Parameters<typeof everydayShot>[0]) =>
      codes({ shots: [everydayShot({ timeSeconds: 22 }), everydayShot({ timeSeconds: 26, ...change })] });
    expect(after({ planned: { doseGrams: 18.5, yieldGrams: 37 } })).not.toContain('two-at-once');
    // To the tenth of a gram a scale shows, and no further.
    expect(after({ planned: { doseGrams: 18.3, yieldGrams: 36.5 } })).not.toContain('two-at-once');
    expect(after({ grind: 12 })).not.toContain('two-at-once');
  });

  it('say by what a grinder nobody knows should have answered', () => {
    const shots = [everydayShot({ timeSeconds: 20 }), everydayShot({ grind: 10, timeSeconds: 20 })];
    const { action, why } = ask({ shots });
    expect(action).toBe('repeat');
    expect(why[0]!.text).toMatch(
      /^14 → 10 should have made the shot about \d+(\.\d)? s slower by rule of thumb and hardly did\.$/,
    );
  });

  it.each([
    [-1.5, 'Sour and harsh in one cup points'],
    [0, 'A harsh cup that is not bitter points'],
  ])('send a harsh cup to preparation: balance %d', (balance, opening) => {
    const shots = [everydayShot({ timeSeconds: 29, taste: { balance, body: 0, dryness: 2.5 } })];
    expect(ask({ shots }).why[0]!.text.startsWith(opening)).toBe(true);
  });

  it('say that care did not help, and nothing of the sourness, where the bed is too tight', () => {
    const spurting = everydayShot({ timeSeconds: 29, seen: ['spurts'], taste: { balance: -1, body: 0 } });
    expect(codes({ shots: [spurting, spurting] })).toContain('channel');
    const third = codes({ shots: [spurting, spurting, spurting] });
    expect(third).toContain('too-tight');
    expect(third).not.toContain('sour');
  });

  it('call one shot outside the window noise until it happens twice', () => {
    const shots = [30, 30.5, 30, 34.6].map((timeSeconds) =>
      everydayShot({ timeSeconds, taste: { balance: 0, body: 0 } }),
    );
    const { action, why } = ask({ target, shots });
    expect(action).toBe('repeat');
    expect(why.map(({ text }) => text).join(' ')).toMatch(/noise until it happens twice/);
  });

  it('ask for a second taste before anything is moved', () => {
    const shots = [everydayShot({ timeSeconds: 29.5, taste: { balance: -0.5, body: 0 } })];
    expect(
      ask({ target, shots })
        .why.map(({ text }) => text)
        .join(' '),
    ).toContain('a second taste');
  });

  it('name the evidence in the barista’s own units', () => {
    const { why } = ask({ shots: [everydayShot({ timeSeconds: 40, taste: { balance: 1.5, body: 1 } })] });
    expect(why.map(({ text }) => text)).toEqual(
      expect.arrayContaining(['40 s for 36 g is 8 s past the window.', 'It tasted bitter: it needs less extraction.']),
    );
  });

  it('say what a cup needs only beside a move that gives it', () => {
    const fastAndBitter = ask({ shots: [everydayShot({ timeSeconds: 19, taste: { balance: 1.5, body: 0 } })] });
    expect(textOf(fastAndBitter, 'bitter')).toBe('It tasted bitter: the time comes first.');
    const known = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const taste = { balance: -1, body: 0, sweetness: 7, overall: 8 };
    const again = ask({ grinder: known, shots: [everydayShot({ timeSeconds: 28, taste })] });
    expect([again.action, textOf(again, 'sour')]).toEqual(['repeat', 'It tasted sour.']);
  });

  const textOf = (advice: Pick<Advice, 'why'>, code: string): string | undefined =>
    advice.why.find((reason) => reason.code === code)?.text;

  it.each<[string, Parameters<typeof everydayShot>[0], string]>([
    ['too-fast', { timeSeconds: 20.5 }, '20.5 s for 36 g is 4.5 s short of the window.'],
    ['too-slow', { timeSeconds: 34 }, '34 s for 36 g is 2 s past the window.'],
    ['in-window', { timeSeconds: 25 }, '25 s for 36 g is in the window.'],
    [
      'too-fast',
      { timeSeconds: null, taste: null, seen: ['gushing'] },
      'Nobody timed it, but it gushed: too coarse, or too little coffee.',
    ],
    [
      'too-slow',
      { timeSeconds: null, taste: null, seen: ['dripping'] },
      'Nobody timed it, but it only dripped: too fine, or too much coffee.',
    ],
  ])('say %s of a time: %j', (code, shot, text) => {
    expect(textOf(ask({ shots: [everydayShot(shot)] }), code)).toBe(text);
  });

  it('bring a hand that strayed back inside the limits first', () => {
    const advice = ask({
      shots: [everydayShot({ doseGrams: 22, planned: { doseGrams: 22, yieldGrams: 44 }, yieldGrams: 44 })],
    });
    expect(textOf(advice, 'limit')).toMatch(/^The last shot stood outside what grinder, basket or machine allow/);
    expect(advice.settings.doseGrams).toBe(20);
    // What brings it back need not be what the cup asks for.
    const between = everydayShot({ grind: 12.3, timeSeconds: 28, taste: { balance: 1.5, body: 1.5 } });
    const snapped = ask({ shots: [between] });
    expect([snapped.settings.grind, textOf(snapped, 'bitter'), textOf(snapped, 'heavy')]).toEqual([
      12.5,
      'It tasted bitter.',
      'The body was heavy.',
    ]);
  });

  it('say that an unpurged change proves nothing', () => {
    const shots = [everydayShot({ timeSeconds: 20 }), everydayShot({ grind: 11.5, timeSeconds: 21, purged: false })];
    expect(textOf(ask({ shots }), 'not-purged')).toBe(
      'Old grounds were still in the grinder after 14 → 11.5: this shot is part old grind and proves nothing.',
    );
  });

  it.each([
    ['dose-off', 'The dose was off target.'],
    ['cold-group', 'The group had not settled.'],
  ] as const)('take the barista’s word for what went wrong: %s', (cause, text) => {
    const good = everydayShot({ timeSeconds: 28 });
    const advice = ask({ shots: [good, everydayShot({ timeSeconds: 20, cause })] });
    expect([advice.action, textOf(advice, 'cause')]).toEqual([
      'repeat',
      `${text} This shot counts for little: the same again.`,
    ]);
  });

  it('send a shot said to have channelled to preparation, without a list of what nobody saw', () => {
    const shots = [everydayShot({ timeSeconds: 28 }), everydayShot({ timeSeconds: 20, cause: 'channelled' })];
    const advice = ask({ shots });
    expect(advice.action).toBe('prepare');
    expect(textOf(advice, 'channel')).toMatch(/^Water found a channel, so this shot says little about the grind\./);
  });

  it('say at which end the grinder stands', () => {
    const at = (grind: number, timeSeconds: number) =>
      textOf(ask({ start: { grind }, shots: [everydayShot({ grind, timeSeconds })] }), 'limit');
    expect(at(0, 18)).toBe('The grinder stands at its finest, 0. The next lever takes over.');
    expect(at(40, 60)).toBe('The grinder stands at its coarsest, 40. The next lever takes over.');
  });

  it('tell the end by the scale, not by the time the shots happened to take', () => {
    const known = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const shots = [25.5, 24.3, 24.2].map((timeSeconds) => everydayShot({ grind: 0, timeSeconds }));
    const advice = ask({ grinder: known, start: { grind: 0 }, shots });
    expect(textOf(advice, 'limit')).toBe('The grinder stands at its finest, 0. The next lever takes over.');
  });

  it('promise no next lever while nothing is turned', () => {
    const known = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const shots = [28, 28, 23.6].map((timeSeconds) => everydayShot({ grind: 0, timeSeconds }));
    const advice = ask({ grinder: known, start: { grind: 0 }, shots });
    expect([advice.action, textOf(advice, 'limit')]).toEqual(['repeat', undefined]);
  });

  it('say why a method that turns the grind alone reaches for the yield', () => {
    const bitter = everydayShot({ grind: 13.5, timeSeconds: 25.2, taste: { balance: 1.5, body: 0 } });
    const shots = [everydayShot({ timeSeconds: 20, taste: { balance: 0, body: 0 } }), bitter];
    const advice = ask({ method: 'one-lever', coffee: { roast: 'dark' }, shots });
    expect(advice.changed.map(({ variable }) => variable)).toEqual(['yieldGrams']);
    expect(textOf(advice, 'limit')).toMatch(/^Grind alone gets no nearer to this cup without losing the window\./);
  });

  it('say that one step jumps over the window, and leave the grind alone', () => {
    const grinder = { ...everydayRequest().grinder, step: 5, logTimePerUnit: { mean: 0.12, sd: 0.005, shots: 60 } };
    const shots = [everydayShot({ grind: 15, timeSeconds: 22 }), everydayShot({ grind: 10, timeSeconds: 39.5 })];
    const advice = ask({ grinder, start: { grind: 15 }, shots });
    expect(textOf(advice, 'limit')).toBe('One step of the grinder jumps over the window. The next lever takes over.');
    expect(advice.changed.map(({ variable }) => variable)).not.toContain('grind');
  });

  it('count the shots that bear a claim out', () => {
    const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
    const liked = everydayShot({
      timeSeconds: 28.5,
      taste: { balance: 0, body: 0, dryness: 0, sweetness: 8, overall: 8.5 },
    });
    const advice = ask({ grinder, shots: [liked, liked, liked] });
    expect(advice.action).toBe('dialled');
    expect(textOf(advice, 'dialled')).toMatch(
      /^3 shots at these settings say that they keep giving the cup you want: .*Write the card\.$/,
    );
  });

  it('own up to a card that rests on liked cups more than on belief', () => {
    const cup = (timeSeconds: number) =>
      everydayShot({ timeSeconds, taste: { balance: 0.5, body: 1, dryness: 0, overall: 7 } });
    const off = everydayShot({ grind: 16, timeSeconds: 22, taste: { balance: 1.5, body: 1.5, overall: 5 } });
    const shots = [off, cup(31.8), cup(32.3), cup(32.4)];
    const advice = ask({ shots });
    expect(advice.action).toBe('dialled');
    expect(textOf(advice, 'dialled')).toMatch(
      /^3 cups at these settings, and each one you would serve: good enough is enough, though it is only 1 in 4/,
    );
    expect(ask({ shots: shots.slice(0, 3) }).action).not.toBe('dialled');
  });

  describe('of the body', () => {
    const bodyText = (body: number, change: Parameters<typeof everydayRequest>[0], shot = {}): [string, string] => {
      const advice = ask({
        target,
        ...change,
        shots: [everydayShot({ timeSeconds: 30, taste: { balance: 0, body }, ...shot })],
      });
      return [advice.changed.map(({ variable }) => variable).join(), textOf(advice, body < 0 ? 'thin' : 'heavy')!];
    };

    it('name the water where the yield is turned', () => {
      expect(bodyText(-2, {})).toEqual([
        'yieldGrams',
        'The body was thin: less water for the same coffee sets that right.',
      ]);
      expect(bodyText(2, {})).toEqual([
        'yieldGrams',
        'The body was heavy: more water for the same coffee sets that right.',
      ]);
    });

    it('put the time first while it is outside the window', () => {
      expect(bodyText(-2, {}, { timeSeconds: 20 })).toEqual(['grind', 'The body was thin: the time comes first.']);
    });

    it('never praise a lever that is not the one to turn', () => {
      const cup = fc.record({ balance: fc.integer({ min: -6, max: 6 }), body: fc.integer({ min: -6, max: 6 }) });
      fc.assert(
        fc.property(cup, fc.integer({ min: 18, max: 45 }), ({ balance, body }, timeSeconds) => {
          const shots = [everydayShot({ timeSeconds, taste: { balance: balance / 2, body: body / 2 } })];
          const advice = ask({ target, shots });
          const text = textOf(advice, 'thin') ?? textOf(advice, 'heavy') ?? '';
          const turned = advice.changed.map(({ variable }) => variable);
          if (text.includes('water for the same coffee')) expect(turned).toEqual(['yieldGrams']);
          if (text.includes('the grind moves it')) expect(turned).toEqual(['grind']);
          if (advice.action !== 'change') expect(text).not.toContain(':');
        }),
        { numRuns: 60 },
      );
    });
  });

  describe('before the first shot', () => {
    const start = (change: Parameters<typeof everydayRequest>[0]) => ask(change).why;

    it('say the recipe, where the grind stands and how little is known', () => {
      expect(start({}).map(({ text }) => text)).toEqual([
        'Balance walk: 18 g in, 36 g out is 1:2, in 25–32 s. 93 °C suits a medium roast here.',
        'Grind 14 to begin with: the first shot tells which way to go.',
        expect.stringMatching(/^A first guess: anything from \d+ to \d+ s would not surprise\.$/),
      ]);
    });

    it('do not pass a temperature somebody named off as the method’s', () => {
      const told = (roast: 'light' | 'medium', temperatureC: number | null) =>
        start({ coffee: { roast }, target: { ...everydayRequest().target, temperatureC } })[0]!.text;
      expect(told('light', 90)).toMatch(/ 90 °C as asked for; this method begins a light roast at 94 °C\.$/);
      expect(told('light', null)).toMatch(/ 94 °C suits a light roast here\.$/);
      expect(told('medium', 92.5)).toMatch(/ 92\.5 °C suits a medium roast here\.$/);
    });

    it('say nothing of a temperature nobody can set', () => {
      expect(start({ machine: { temperatureC: null } })[0]!.text).toBe(
        'Balance walk: 18 g in, 36 g out is 1:2, in 25–32 s.',
      );
    });

    it('tell of a coffee that is not in its best days, and of no other', () => {
      const told = (ageDays: number | null) =>
        start({ coffee: { roast: 'medium', ageDays } })
          .map(({ text }) => text)
          .find((text) => text.includes('after roasting'));
      expect(told(3)).toMatch(/^3 days after roasting\. It is still full of gas/);
      expect(told(60)).toMatch(/past its best/);
      expect([told(14), told(null)]).toEqual([undefined, undefined]);
    });

    it.each([
      [{ nominalGrams: 16, minGrams: 14, maxGrams: 17 }, '17 g in, 34 g out', 'holds no more than 17 g'],
      [{ nominalGrams: 22, minGrams: 20, maxGrams: 24 }, '20 g in, 40 g out', 'wants no less than 20 g'],
    ])('keep the ratio where the basket has the last word on the dose', (basket, recipe, why) => {
      const reasons = start({ basket });
      expect(reasons[0]!.text).toContain(`${recipe} is 1:2`);
      expect(textOf({ why: reasons }, 'basket')).toContain(why);
    });

    it('send whoever names no setting to a pinch between the fingers', () => {
      expect(start({ start: undefined })[1]!.text).toMatch(
        /^Nothing is known of this grinder yet; .*Check a pinch between two fingers/,
      );
      const grinder = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.08, sd: 0.01, shots: 40 } };
      expect(start({ start: undefined, grinder })[1]!.text).toMatch(/^No setting is known for this coffee yet; /);
    });

    it.each([
      ['too-coarse', /too coarse, like sand: 14 → (\d|1[0-3])(\.5)? before/],
      ['too-fine', /too fine, like flour: 14 → (1[4-9]|2\d)(\.5)? before/],
    ] as const)('move what fingers found %s', (handCheck, text) => {
      expect(start({ start: { grind: 14, handCheck } })[1]!.text).toMatch(text);
    });
  });
});
