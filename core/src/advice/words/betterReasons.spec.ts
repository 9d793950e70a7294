import { answer, type Advice } from '../..';
import { everydayRequest, everydayShot, problemOf } from '../advice.fixture';
import { betterReasons, type Offered } from './betterReasons';
import type { Choice, Prices } from '../lookahead/choice';
import { readEvidence } from '../shots/evidence';
import { infer } from '../../belief/infer';
import type { Outlook } from '../../belief/particles';
import type { AdviceRequest } from '../../contract/request';
import { oddsInWords } from './words';

const FREE: Prices = { toGo: 3, leaving: 0, coffee: 0, order: 0, distance: 0 };
const settings = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };

describe('an alternative that reads better', () => {
  const spoken = (shot: AdviceRequest['shots'][number]) => {
    const problem = problemOf({ shots: [everydayShot(shot)] });
    return { problem, evidence: readEvidence(problem, infer(problem))! };
  };
  const still = (prices?: Prices): Choice => ({
    move: { lever: null, coupled: false, settings },
    outlook: {} as Outlook,
    ...(prices && { prices }),
  });
  const hotter = (prices?: Prices): Choice => ({
    move: { lever: 'temperature', coupled: false, settings: { ...settings, temperatureC: 94 } },
    outlook: {} as Outlook,
    ...(prices && { prices }),
  });
  const finer = (grind: number, prices: Prices): Choice => ({
    move: { lever: 'grind', coupled: false, settings: { ...settings, grind } },
    outlook: {} as Outlook,
    prices,
  });
  const said = (chosen: Choice, others: Offered[], passedOver: Choice[] = [], shot = {}): string[] => {
    const { problem, evidence } = spoken(shot);
    const action = chosen.move.lever === null ? 'repeat' : 'change';
    return betterReasons(problem, { action, chosen, passedOver }, evidence, { asWanted: 0.5 }, others).map(
      ({ text }) => text,
    );
  };
  const offered = (choice: Choice, asWanted = 0.75): Offered => ({ choice, expect: { asWanted } });

  it('is not spoken of where both read the same, or it reads worse', () => {
    const dear = hotter({ ...FREE, toGo: 4 });
    expect(said(finer(13, FREE), [])).toEqual([]);
    expect(said(finer(13, FREE), [offered(dear, 0.51)])).toEqual([]);
    expect(said(finer(13, FREE), [offered(dear, 0.3)])).toEqual([]);
  });

  it.each<[Partial<Prices>, string]>([
    [{ toGo: 3.4, coffee: 0.1 }, 'the way there is expected to take more shots: 3.4 instead of 3'],
    [{ toGo: 3.04 }, 'the way there is expected to take more shots'],
    [{ coffee: 0.1, leaving: 0.05 }, 'it costs more coffee'],
    [{ leaving: 0.5 }, 'settings that may be right are not left for so little'],
    [{ order: 0.3 }, 'for a cup like this Balance walk turns other levers before the temperature'],
    [{ distance: 0.2 }, 'a miss there would be further from the cup you want'],
  ])('is passed by for what weighs most of what it costs more: %j', (dearer, but) => {
    expect(said(finer(13, FREE), [offered(hotter({ ...FREE, ...dearer }))])).toEqual([
      `“Hotter, 93 → 94 °C” reads better for the next cup, as wanted 3 in 4 instead of 1 in 2, but ${but}.`,
    ]);
  });

  it('has nothing said of it where it costs no more and no rule speaks against it', () => {
    expect(said(finer(13, FREE), [offered(finer(12.5, { ...FREE, toGo: 2.9 }))])).toEqual([]);
    expect(said(finer(13, FREE), [offered(finer(12.5, { ...FREE, toGo: 3.01 }))])).toEqual([]);
  });

  it('waits for its turn where the method turns another lever first, whatever else reads better', () => {
    const yielded = hotter();
    const others = [offered(finer(12, { ...FREE, toGo: 4 })), offered(yielded)];
    expect(said(finer(13, FREE), others, [yielded])).toEqual([
      'The temperature promises more, as wanted 3 in 4 instead of 1 in 2, but Balance walk turns the grind first.',
    ]);
  });

  it('waits for one more shot where a rule of the craft keeps what was poured', () => {
    const cheap = [offered(hotter({ ...FREE, toGo: 2 }))];
    const tasted = (balance: number) => ({ taste: { balance, body: 0, dryness: 0 } });
    expect(said(still(FREE), cheap, [], tasted(0))[0]).toContain('but a cup that read right is pulled once more');
    expect(said(still(FREE), cheap, [], tasted(-1.5))[0]).toContain(
      'does not say clearly enough that anything is wrong',
    );
    const dear = [offered(hotter({ ...FREE, leaving: 0.6 }))];
    expect(said(still(FREE), dear, [], tasted(0))[0]).toContain('not left for so little');
  });

  it('is explained in answers: nobody reads better odds beside the advice without a word', () => {
    const tastes = [-1.5, -1, -0.5, 0, 0.5, 1, 1.5].flatMap((balance) =>
      [-1, 0, 1].map((body) => ({ balance, body, dryness: 0, overall: 8.3 - Math.hypot(balance, body) })),
    );
    const answers = [26, 27.5, 29.5, 31, 33].flatMap((timeSeconds) =>
      tastes.map((taste) => answer(everydayRequest({ shots: [everydayShot({ timeSeconds, taste })] })) as Advice),
    );
    const reading = answers.filter(({ alternatives, expect: { asWanted } }) =>
      alternatives.some(
        ({ expect: other }) => other.asWanted > asWanted && oddsInWords(other.asWanted) !== oddsInWords(asWanted),
      ),
    );
    const explained = reading.filter(({ why }) =>
      why.some(({ code }) => code === 'method-order' || code === 'reads-better'),
    );
    expect(reading.length).toBeGreaterThan(10);
    expect(explained.length / reading.length).toBeGreaterThan(0.9);
  });
});
