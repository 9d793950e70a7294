import { everydayRequest, everydayShot } from '../advice.fixture';
import { answer, type Advice } from '..';
import { advise } from '../advise';
import { parseAdviceRequest, type AdviceRequest } from '../../contract/request';

const SLOPE = { mean: 0.09, sd: 0.02, shots: 41 };
const grinder = { ...everydayRequest().grinder, logTimePerUnit: SLOPE };

function ask(start: AdviceRequest['start'], change: Partial<AdviceRequest> = {}): Advice {
  const parsed = parseAdviceRequest(everydayRequest({ grinder, start, ...change }));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return advise(parsed.request);
}
const widthOf = ({ expect: { timeSeconds } }: Advice): number => Math.log(timeSeconds.p90 / timeSeconds.p10);

describe('a start worked out from kept recipes', () => {
  it('is surer the surer they are, and surer than a setting somebody named', () => {
    const widths = [
      ask({ grind: 12, grindSd: 1 }),
      ask({ grind: 12, grindSd: 2.5 }),
      ask({ grind: 12 }),
      ask(null),
    ].map(widthOf);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    expect(new Set(widths).size).toBe(4);
  });

  it('is never surer than a puck allows, nor less than a blind guess', () => {
    expect(widthOf(ask({ grind: 12, grindSd: 0 }))).toBeGreaterThan(0.2);
    expect(widthOf(ask({ grind: 12, grindSd: 1000 }))).toBeCloseTo(widthOf(ask(null)), 1);
  });

  it('says where the setting comes from', () => {
    const why = ask({ grind: 12, grindSd: 1.25 })
      .why.map(({ text }) => text)
      .join(' ');
    expect(why).toContain('12 is what the recipes kept on this grinder come to for this shot (±1.3).');
    expect(why).not.toMatch(/to begin with|No setting is known/);
  });

  it('is no kept recipe: a first shot beside it is believed to be right less than one at a setting that stood', () => {
    const shots = [everydayShot({ grind: 12 })];
    const [worked, stood] = [ask({ grind: 12, grindSd: 2.5 }, { shots }), ask({ grind: 12 }, { shots })];
    expect(worked.expect.asWanted).toBeLessThan(stood.expect.asWanted);
  });

  it('takes no spread below nothing', () => {
    expect(answer(everydayRequest({ start: { grind: 12, grindSd: -1 } }))).toMatchObject({
      errors: [{ path: 'start.grindSd' }],
    });
  });
});

describe('a start from the last shots', () => {
  const start = { grind: 12, grindSd: 0.7, from: 'last-shots' as const };

  it('says so, and is as sure as they are', () => {
    const advice = ask(start);
    expect(advice.why.map(({ text }) => text).join(' ')).toContain(
      '12 is where this coffee’s last shots point (±0.7).',
    );
    expect(widthOf(advice)).toBeLessThan(widthOf(ask({ grind: 12 })));
  });

  it('is a recipe that was kept: a first shot beside it is believed right more than at one worked out from others', () => {
    const shots = [everydayShot({ grind: 12 })];
    const [own, others] = [ask(start, { shots }), ask({ ...start, from: 'recipes' }, { shots })];
    expect(own.expect.asWanted).toBeGreaterThan(others.expect.asWanted);
  });
});
