import { answer, type Advice, type AdviceRequest } from '../..';
import { everydayRequest, everydayShot } from '../advice.fixture';

const ask = (change: Partial<AdviceRequest>): Advice => answer(everydayRequest(change)) as Advice;

describe('cautions', () => {
  it('warn of turning burrs only towards finer', () => {
    const codes = (timeSeconds: number) =>
      ask({ shots: [everydayShot({ timeSeconds })] }).cautions.map(({ code }) => code);
    expect(codes(18)).toContain('burrs-turning');
    expect(codes(42)).not.toContain('burrs-turning');
  });

  it('have a timed grinder’s dose weighed again after the grind was turned, which way it will have gone', () => {
    const weighAgain = (timeSeconds: number, more: Partial<AdviceRequest['grinder']> = {}) =>
      ask({ grinder: { ...everydayRequest().grinder, ...more }, shots: [everydayShot({ timeSeconds })] }).cautions.find(
        ({ code }) => code === 'weigh-again',
      )?.text;
    expect(weighAgain(18)).toBe('A timed grinder gives less when finer: weigh the dose again.');
    expect(weighAgain(42)).toBe('A timed grinder gives more when coarser: weigh the dose again.');
    const timedDose = { gramsPerSecond: 3, lagSeconds: 0.3, logRatePerFiner: 0.04, atGrind: 14 };
    expect([weighAgain(18, { dosing: 'weighed' }), weighAgain(18, { timedDose }), weighAgain(28)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('count what was tasted once it adds up', () => {
    const shots = Array.from({ length: 5 }, (_, i) =>
      everydayShot({ timeSeconds: 18 + i, taste: { balance: -2, body: -1 } }),
    );
    expect(ask({ shots }).cautions.find(({ code }) => code === 'caffeine')?.text).toMatch(/^5 shots tasted/);
  });

  it('watch the basket when the dose moves, and the pressure when a puck is to be prepared again', () => {
    const codes = (change: Partial<AdviceRequest>) => ask(change).cautions.map(({ code }) => code);
    expect(codes({ start: { grind: 0 }, shots: [everydayShot({ grind: 0, timeSeconds: 18 })] })).toContain('basket');
    const spurting = everydayShot({ timeSeconds: 27, seen: ['spurts'] });
    expect(codes({ shots: [spurting, spurting] })).toContain('pressure');
    expect(codes({ shots: [everydayShot()] })).toEqual([]);
  });
});
