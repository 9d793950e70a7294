import { answer, buildAdviceRequest, combineTastings, type SheetLike } from '../index';
import { everydayRequest } from './advice.fixture';

describe('building the request of a dial-in', () => {
  const target = { ...everydayRequest().target, balance: 0, body: 0 };
  const sheet = {
    run: { id: 'run', methodId: 'balance-walk', startGrind: 14, target },
    grinder: {
      min: 0,
      max: 40,
      step: 0.5,
      finer: 'lower' as const,
      dosing: 'timed' as const,
      purgeGrams: 12,
      learnedSlope: null,
    },
    basket: { nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    machine: { temperatureC: { min: 88, max: 97, step: 0.5 } },
    coffee: { roast: 'medium' as const, process: '', altitudeM: null },
    ageDays: null,
    shots: [
      {
        grind: 14,
        doseGrams: 18,
        yieldGrams: 36,
        timeSeconds: 21,
        timer: 'pump-on' as const,
        seen: [{ sign: 'spurts' as const }],
        purged: true,
        tastings: [
          { balance: -2, body: -1 },
          { balance: -1, body: null, overall: 6 },
        ],
      },
    ],
  };

  it('asks what the contract accepts, with several tongues combined', () => {
    const request = buildAdviceRequest(sheet);
    expect(request.shots[0]).toMatchObject({
      seen: ['spurts'],
      taste: { balance: -1.5, body: -1, overall: 6, dryness: null },
    });
    expect(answer(request)).toMatchObject({ schema: 'olvet.advice/1', id: 'run' });
  });

  it('counts a rush that only the trace shows as seen, once', () => {
    const [shot] = sheet.shots;
    const seenOf = (change: object) =>
      buildAdviceRequest({ ...sheet, shots: [{ ...shot!, ...change }] }).shots[0]!.seen;
    const traced = (isLateRush: boolean) => ({ summary: { isLateRush } });
    expect(seenOf({ traced: traced(true) })).toEqual(['spurts', 'late-rush']);
    expect(seenOf({ traced: traced(false) })).toEqual(['spurts']);
    expect(seenOf({ traced: traced(true), seen: [{ sign: 'late-rush' }] })).toEqual(['late-rush']);
    expect(seenOf({ traced: { summary: null } })).toEqual(['spurts']);
  });

  it('says where the start comes from: somebody, the last shots, or the recipes kept', () => {
    const handCheck = 'near';
    const startOf = (run: object) => buildAdviceRequest({ ...sheet, run: { ...sheet.run, handCheck, ...run } }).start;
    const suggestedStart = { grind: 11, sd: 1.5 };
    expect(startOf({ suggestedStart })).toEqual({ grind: 14, handCheck });
    expect(startOf({ startSd: 0.6 })).toEqual({ grind: 14, grindSd: 0.6, from: 'last-shots', handCheck });
    expect(startOf({ startGrind: null, suggestedStart })).toEqual({
      grind: 11,
      grindSd: 1.5,
      from: 'recipes',
      handCheck,
    });
    expect(startOf({ startGrind: null })).toEqual({ grind: null, handCheck });
  });

  it('takes a cup that was served or sunk for marked so, unless somebody marked it or nobody tasted it', () => {
    const overallOf = (verdict: 'serve' | 'discard' | null, tastings: SheetLike['shots'][number]['tastings']) =>
      buildAdviceRequest({ ...sheet, shots: [{ ...sheet.shots[0]!, verdict, tastings }] }).shots[0]!.taste?.overall;
    expect(overallOf('serve', [{ balance: 0 }])).toBe(8);
    expect(overallOf('discard', [{ balance: 0 }])).toBe(4);
    expect(overallOf(null, [{ balance: 0 }])).toBeNull();
    expect(overallOf('serve', [{ balance: 0, overall: 6 }])).toBe(6);
    expect(overallOf('serve', [])).toBeUndefined();
  });

  it('marks such a cup as those who tasted it mark', () => {
    const marks = {
      overall: { best: { mean: 9.8, sd: 0.2 }, loss: { mean: 1.54, sd: 0.2 }, cups: 12 },
      sweetness: null,
    };
    const palates = [{ person: 'Ines', balance: 0, body: 0, marks }];
    const markOf = (person: string) =>
      buildAdviceRequest({
        ...sheet,
        palates,
        shots: [{ ...sheet.shots[0]!, verdict: 'serve', tastings: [{ person, balance: 0 }] }],
      }).shots[0]!.taste?.overall;
    expect([markOf('Ines'), markOf('Mads')]).toEqual([9.5, 8]);
  });

  it('tells how the people of this dial-in mark, together, once all of them are known', () => {
    const marks = (best: number) => ({
      overall: { best: { mean: best, sd: 0.2 }, loss: { mean: 1.5, sd: 0.2 }, cups: 12 },
      sweetness: null,
    });
    const palate = { balance: 0, body: 0 };
    const shots = [{ ...sheet.shots[0]!, tastings: [{ person: 'Ines' }, { person: 'Mads' }] }];
    const taster = (palates: SheetLike['palates']) => buildAdviceRequest({ ...sheet, shots, palates }).taster;
    const ines = { ...palate, person: 'Ines', marks: marks(9) };
    expect(taster([ines])).toBeNull();
    expect(taster([ines, { ...palate, person: 'Mads' }])).toBeNull();
    const both = taster([ines, { ...palate, person: 'Mads', marks: marks(8) }])!;
    expect(both.overall!.best).toEqual({ mean: 8.5, sd: 0.2 });
    expect(both.sweetness).toBeNull();
    const request = buildAdviceRequest({ ...sheet, shots, palates: [ines, { ...ines, person: 'Mads' }] });
    expect(answer(request)).toMatchObject({ schema: 'olvet.advice/1' });
  });

  it('passes on what was said and where those who said it like a cup best, on the mean', () => {
    const palates = [
      { person: 'Ines', balance: 0.6, body: 0 },
      { person: 'Mads', balance: -0.2, body: 0.4 },
    ];
    const said = (person: string | null, balance: number | null, body: number | null = null) => ({
      person,
      balance,
      body,
    });
    expect(combineTastings([said('Ines', 0.5, 1)], palates)).toMatchObject({
      balance: 0.5,
      body: 1,
      likes: { balance: 0.6, body: 0 },
    });
    const both = combineTastings([said('Ines', 0.5), said('Mads', -0.5, 1)], palates)!;
    expect(both).toMatchObject({ balance: 0, body: 1, likes: { body: 0.4 } });
    expect(both.likes!.balance).toBeCloseTo(0.2, 9);
    // Who placed nothing on a scale has no say in where it is counted from, nor has a stranger.
    expect(combineTastings([said('Ines', null), said('Guest', 0.5)], palates)).not.toHaveProperty('likes');
  });

  it('says untasted rather than even when nobody tasted', () => {
    expect(combineTastings([])).toBeNull();
  });
});
