import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Parameters<typeof everydayRequest>[0]): Advice => answer(everydayRequest(change)) as Advice;
const textOf = (advice: Advice, code: string): string | undefined =>
  advice.why.find((reason) => reason.code === code)?.text;

describe('a word on what stream and puck told', () => {
  const codes = (change: Parameters<typeof everydayRequest>[0]): string[] => ask(change).why.map(({ code }) => code);

  it.each([
    ['screen-imprint', /dose is high for the basket/],
    ['soupy-puck', /harmless/],
    ['uneven-spouts', /uneven bed/],
    ['early-blonding', /gave out before the rest/],
  ] as const)('is said besides channels, and turns no lever: %s', (sign, expected) => {
    const withSign = ask({ shots: [everydayShot({ timeSeconds: 28, seen: [sign] })] });
    expect(textOf(withSign, sign)).toMatch(expected);
    const without = ask({ shots: [everydayShot({ timeSeconds: 28 })] });
    expect([withSign.action, withSign.settings]).toEqual([without.action, without.settings]);
  });

  it('is left to the clock where a gush paled early', () => {
    const gush = everydayShot({ timeSeconds: 14, seen: ['gushing', 'early-blonding'] });
    expect(codes({ shots: [gush] })).toContain('too-fast');
    expect(codes({ shots: [gush] })).not.toContain('early-blonding');
  });

  it.each([
    [40, ['late-rush'], /^Slow, then suddenly fast: the puck gave way, .* too fine or badly prepared\./],
    [46, ['spurts', 'puck-crater'], /^Seen: spurts, crater in the puck\. Some water found a way round the coffee/],
    [13, ['dead-spots'], /^Seen: dead spots\. .* this shot counts for less\. Distribute, and tamp level\.$/],
  ] as const)(
    'is said of a channel that does not explain the time, and the grind is turned: %d s',
    (seconds, seen, said) => {
      const taste = { balance: seconds > 30 ? 1 : -2, body: 0 };
      const advice = ask({ shots: [everydayShot({ timeSeconds: seconds, seen: [...seen], taste })] });
      expect(advice.changed.map(({ variable }) => variable)).toEqual(['grind']);
      expect(textOf(advice, 'channel')).toMatch(said);
    },
  );

  it('is said of a channel once, where it is what decides', () => {
    const spurting = everydayShot({ timeSeconds: 29, seen: ['spurts'], taste: { balance: -1, body: 0 } });
    const said = (count: number): string[] =>
      codes({ shots: Array.from({ length: count }, () => spurting) }).filter((code) =>
        ['channel', 'too-tight'].includes(code),
      );
    expect([said(1), said(2), said(3)]).toEqual([['channel'], ['channel'], ['too-tight']]);
  });
});

describe('a recipe that was missed', () => {
  const planned = { doseGrams: 18, yieldGrams: 36 };
  const shot = (measured: Partial<Record<'doseGrams' | 'yieldGrams' | 'timeSeconds', number>>) =>
    everydayShot({ timeSeconds: 29, taste: { balance: 0, body: 0, overall: 8 }, planned, ...measured });
  const said = (measured: Parameters<typeof shot>[0]): string => ask({ shots: [shot(measured)] }).why[0]!.text;

  it('is said beside the time, where it missed by less than is pulled again for it', () => {
    expect(said({ doseGrams: 17.3 })).toBe('29 s for 36 g, from 17.3 g instead of 18 g, is in the window.');
    expect(said({ yieldGrams: 38.6 })).toBe('29 s for 38.6 g instead of 36 g is in the window.');
    expect(said({ doseGrams: 17.3, timeSeconds: 22 })).toMatch(
      /^22 s for 36 g, from 17\.3 g instead of 18 g, is \S+ s short of the window/,
    );
  });

  it('is not said of what a hand strays by, nor twice of what is pulled again for it', () => {
    expect(said({ doseGrams: 18.3 })).toBe('29 s for 36 g is in the window.');
    expect(said({ yieldGrams: 37.5 })).toBe('29 s for 37.5 g is in the window.');
    const { why } = ask({ shots: [shot({ doseGrams: 16.9 })] });
    expect(why.map(({ text }) => text).filter((text) => text.includes('16.9'))).toHaveLength(1);
  });

  it('is not said of a dose that nobody weighed', () => {
    const byEye = ask({ shots: [shot({ doseGrams: 17.3 })], measuring: { doseSdGrams: 0.4, yieldSdGrams: 2 } });
    expect(byEye.why[0]!.text).toMatch(/^29 s for 36 g is in the window/);
  });
});
