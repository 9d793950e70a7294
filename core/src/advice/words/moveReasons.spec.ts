import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Partial<AdviceRequest>): Advice => answer(everydayRequest(change)) as Advice;
const textOf = (advice: Advice, code: string): string | undefined =>
  advice.why.find((reason) => reason.code === code)?.text;

describe('the reasons for a move', () => {
  it('own up to a move that leads no nearer, and say why it is made', () => {
    const cup = (grind: number, timeSeconds: number, balance: number, body: number, overall: number) =>
      everydayShot({ grind, timeSeconds, taste: { balance, body, dryness: 0, overall } });
    const why = (...shots: ReturnType<typeof cup>[]): string[] => {
      const advice = ask({ shots, target: { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } } });
      expect([advice.action, advice.expect.asWanted < 0.75]).toEqual(['change', true]);
      // What is thin gets less water.
      if (shots.at(-1)!.taste!.body! < 0) expect(advice.settings.yieldGrams).toBeLessThan(36);
      return advice.why.map(({ code }) => code).filter((code) => ['first-of-two', 'least', 'on-edge'].includes(code));
    };
    // Finer made it less sour and left it thin: less water fixes that and makes it sour again, until the grind follows.
    const thinner = [cup(33, 26.4, -2, -1, 6.5), cup(31, 28.1, -1, -1.5, 7), cup(28.5, 28.2, -0.5, -1, 7.5)];
    expect(why(...thinner, cup(28.5, 29.4, 0, -1.5, 7.5))).toEqual(['first-of-two']);
    // A word that is believed to be noise more likely than not.
    expect(why(everydayShot({ timeSeconds: 29, taste: { balance: 0, body: -1.5 } }))).toEqual(['least']);
    const edge = [cup(14, 33, -0.5, 0, 6), cup(14, 32.7, -0.5, 0, 6)];
    expect(why(...edge)).toEqual(['on-edge']);
  });

  it('say against what the word of a cup that read right is weighed', () => {
    const known = { ...everydayRequest().grinder, logTimePerUnit: { mean: 0.081, sd: 0.013, shots: 12 } };
    const target = { ...everydayRequest().target, timeSeconds: { min: 27, max: 33 } };
    const fast = everydayShot({ grind: 15.5, timeSeconds: 24.3, taste: { balance: -2.5, body: -0.5, overall: 5.5 } });
    const second = (timeSeconds: number, balance: number, body: number): Advice =>
      ask({
        grinder: known,
        target,
        shots: [fast, everydayShot({ grind: 13.5, timeSeconds, taste: { balance, body, overall: 6 } })],
      });
    const even = second(27.7, 0, -0.5);
    expect([even.action, textOf(even, 'balanced')]).toEqual(['change', 'It tasted balanced.']);
    expect(textOf(even, 'doubt')).toMatch(
      /^It read right, but by all that is known these settings lean to sour: \d in \d that they are right\.$/,
    );
    const little = second(29, -0.5, 0);
    expect([little.action, textOf(little, 'doubt')]).toEqual([
      'change',
      expect.stringMatching(/^A bit sour is within tolerance, but by all that is known these settings lean that way: /),
    ]);
    // A cup that is off asks for the move itself.
    const sour = second(29, -1.5, 0);
    expect([sour.action, textOf(sour, 'doubt')]).toEqual(['change', undefined]);
  });

  it('say what a shot in the window is taken for where the time comes first all the same', () => {
    const fast = [20, 20.5].map((timeSeconds) => everydayShot({ timeSeconds }));
    const once = everydayShot({ grind: 13.5, timeSeconds: 25.2 });
    const taken = textOf(
      ask({ shots: [...fast, once], grinder: { ...everydayRequest().grinder, step: 0.5 } }),
      'in-window',
    );
    expect(taken).toMatch(
      /^25\.2 s for 36 g is in the window, but by all that was poured these settings take about 2\d(\.\d)? s\.$/,
    );
  });

  it('put half a second beside the window down to hand and clock, where nothing is moved for it', () => {
    const late = everydayShot({ timeSeconds: 32.4, taste: { balance: 0, body: 0, sweetness: 7.5, overall: 8.5 } });
    const kept = ask({ shots: [late, late] });
    expect([kept.action === 'change', textOf(kept, 'too-slow')]).toEqual([
      false,
      '32.4 s for 36 g is 0.4 s past the window, which is no more than hand and clock stray by.',
    ]);
    const moved = ask({ shots: [everydayShot({ timeSeconds: 36, taste: { balance: 1.5, body: 0.5 } })] });
    expect(textOf(moved, 'too-slow')).toBe('36 s for 36 g is 4 s past the window.');
  });

  it('own up to a clock beside the window on a card', () => {
    const cup = (grind: number, timeSeconds: number, balance: number, overall: number) =>
      everydayShot({ grind, timeSeconds, taste: { balance, body: 0, sweetness: 7, overall } });
    const shots = [cup(16, 21, -1.5, 6), cup(14, 26, -0.5, 7.5), cup(13, 30, 0, 8.5), cup(13, 33.4, 0, 9)];
    const card = ask({ shots });
    expect([card.action, textOf(card, 'too-slow')]).toEqual([
      'dialled',
      '33.4 s for 36 g is 1.4 s past the window, which is no more than shots of the same settings differ by.',
    ]);
  });

  it('own up to the last word on a card', () => {
    const cup = (balance: number) =>
      everydayShot({ timeSeconds: 28.5, taste: { balance, body: 0, sweetness: 7.5, overall: 8.5 } });
    const card = (...words: number[]) => textOf(ask({ shots: words.map(cup) }), 'dialled');
    expect(card(0, 0, -1)).toMatch(/\. The last word is no further off than a tongue strays\. Write the card\.$/);
    expect(card(0, 0)).toMatch(/keep giving the cup you want: [^.]+\. Write the card\.$/);
  });
});
