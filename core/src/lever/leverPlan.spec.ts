import { chamberLoss, LEVER_BAR, leverPlan, leverWindow, rescueNow, type LeverNow } from '.';

const calm: LeverNow = { seconds: 20, bar: 7.5, firstDripSeconds: 9, coverSeconds: 7, spurtSeconds: null };

describe('a hand lever', () => {
  it('soaks until covered, stands at 7 to 8 bar between 10 and 15 s, and eases to 5 or 6 at the end', () => {
    const plan = leverPlan({ coverSeconds: 8, easeSeconds: 36, landSeconds: 42 });
    const seconds = plan.map((point) => point.seconds);
    expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
    const held = plan.find(({ bar }) => bar >= LEVER_BAR.hold.min)!;
    expect(held.seconds).toBeGreaterThanOrEqual(10);
    expect(held.seconds).toBeLessThanOrEqual(15);
    expect(plan.at(-1)!.bar).toBeCloseTo(5.5, 6);
    expect(plan.filter(({ seconds: at }) => at <= 8).every(({ bar }) => bar <= 2)).toBe(true);
  });

  it('goes on soaking until a late cover, whatever the clock says', () => {
    const plan = leverPlan({ coverSeconds: 20, easeSeconds: 40, landSeconds: 48 });
    expect(plan.find(({ bar }) => bar >= 7)!.seconds).toBeGreaterThanOrEqual(20);
  });

  it('takes longer in a narrower basket', () => {
    const [narrow, wide] = [leverWindow(46), leverWindow(58)];
    expect(narrow.min).toBeGreaterThan(wide.max);
    expect(leverWindow(49.5)).not.toEqual(narrow);
  });

  it.each([
    ['nothing', calm, null],
    ['no resistance and drops', { ...calm, seconds: 5, bar: 1, firstDripSeconds: 3 }, 'compact'],
    ['a drip long ago', { ...calm, seconds: 30, bar: 2, firstDripSeconds: 3 }, null],
    ['a wall', { ...calm, seconds: 9, bar: 4, firstDripSeconds: null, coverSeconds: null }, 'wait'],
    ['a soak at low pressure', { ...calm, seconds: 9, bar: 1.5, firstDripSeconds: null, coverSeconds: null }, null],
    ['jets', { ...calm, seconds: 22, spurtSeconds: 20 }, 'ease-off'],
    ['jets a while ago', { ...calm, seconds: 30, spurtSeconds: 20 }, null],
    ['a wall without a gauge', { ...calm, seconds: 12, bar: null, firstDripSeconds: null, coverSeconds: null }, 'wait'],
  ])('answers %s', (_what, now, rescue) => {
    expect(rescueNow(now)).toBe(rescue);
  });

  it('loses heat for each second off the heat', () => {
    expect(chamberLoss(41)).toBeCloseTo(2.9, 1);
    expect(chamberLoss(-1)).toBe(0);
  });
});
