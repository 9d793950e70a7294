import { createRandom, drawNormal } from '../../puck';
import type { DayRequest } from './contract';
import { judgeDay, parseDayRequest } from './judge';
import { dayLine } from './line';

const MORNING = Date.parse('2026-03-02T07:00:00Z');
const at = (minute: number): string => new Date(MORNING + 60_000 * minute).toISOString();
type Shot = Omit<NonNullable<DayRequest['shots'][number]>, 'at'>;

function requestOf(shots: Shot[], change: Partial<DayRequest> = {}): DayRequest {
  return {
    schema: 'olvet.day-request/1',
    now: at(6 * shots.length),
    card: { grind: 12, doseGrams: 18, yieldGrams: 36, timeSeconds: { mean: 30, sd: 1.5, shots: 12 } },
    toleranceSeconds: 3,
    grinder: {
      ...{ min: 0, max: 40, step: 0.5, finer: 'lower', dosing: 'timed', purgeGrams: 12 },
      logTimePerUnit: { mean: 0.07, sd: 0.015, shots: 60 },
    },
    limits: { unitsPerMove: 1, unitsPerDay: 3 },
    shots: shots.map((shot, i) => ({ at: at(6 * i), ...shot })),
    ...change,
  };
}

function judge(shots: Shot[], change: Partial<DayRequest> = {}) {
  const parsed = parseDayRequest(requestOf(shots, change));
  if (!parsed.ok) throw new TypeError(JSON.stringify(parsed.errors));
  return judgeDay(parsed.request);
}

/** Shots around a time, each with its own puck. */
function around(seconds: number, count: number, change: Shot = {}, seed = 'day'): Shot[] {
  const random = createRandom(`${seed} ${seconds}`);
  return Array.from({ length: count }, () => ({
    ...{ grind: 12, doseGrams: 18, yieldGrams: 36, grindSeconds: 4.8 },
    timeSeconds: seconds * Math.exp(drawNormal(random, 0, 0.04)),
    ...change,
  }));
}

describe('a station through its day', () => {
  it('is unknown before its first shot, and steady around its found time', () => {
    expect(judge([])).toMatchObject({ state: 'unknown', action: 'none', move: null });
    const steady = judge(around(30, 40));
    expect(steady).toMatchObject({ state: 'steady', action: 'none', move: null, suspects: [] });
    expect(steady.shiftSeconds.p10).toBeLessThan(0);
    expect(steady.shiftSeconds.p90).toBeGreaterThan(0);
  });

  it.each([22, 38])('is moved by no single shot, however odd (%s s)', (timeSeconds) => {
    for (let count = 1; count < 40; count += 3) {
      const odd = judge([...around(30, count), { ...around(30, 1)[0]!, timeSeconds }]);
      expect(odd.action).toBe('check');
      expect(odd.move).toBeNull();
    }
    expect(judge([...around(30, 12), { ...around(30, 1)[0]!, timeSeconds: 22 }]).state).toBe('odd-shot');
  });

  it.each([1, 600])('keeps its head whatever a clock says (%s s)', (timeSeconds) => {
    const wild = judge([...around(30, 12), { ...around(30, 1)[0]!, timeSeconds }]);
    expect(wild).toMatchObject({ state: 'odd-shot', action: 'check', move: null });
    expect(Math.abs(wild.shiftSeconds.mean)).toBeLessThan(1.5);
    expect(judge([{ ...around(30, 1)[0]!, timeSeconds }]).shiftSeconds.p90).not.toBeNaN();
  });

  it.each([
    [35, 'drifting-slow', 1],
    [25.5, 'drifting-fast', -1],
  ])('drifts where a run leaves it (%s s), and is brought back on the steps of its grinder', (seconds, state, way) => {
    const drifted = judge([...around(30, 20), ...around(seconds, 4)]);
    expect(drifted).toMatchObject({ state, action: 'move' });
    const { grind, purgeGrams, expectSeconds, grindSeconds } = drifted.move!;
    expect(grind.from).toBe(12);
    expect([12 + way * 0.5, 12 + way]).toContain(grind.to);
    expect(purgeGrams).toBe(12);
    // Coarser falls quicker: fewer seconds for the same dose.
    expect((grindSeconds! - 4.8) * way).toBeLessThan(0);
    expect(Math.abs(expectSeconds.mean - 30)).toBeLessThan(Math.abs(seconds - 30));
    const higher = judge([...around(30, 20), ...around(seconds, 4)], {
      grinder: { min: 0, max: 40, step: 0.5, finer: 'higher', logTimePerUnit: { mean: 0.07, sd: 0.015 } },
    });
    expect((higher.move!.grind.to - 12) * way).toBeLessThan(0);
  });

  it('expects what a turn should bring, at once', () => {
    const turned = judge([...around(30, 20), ...around(35, 4), ...around(30.5, 1, { grind: 14 })]);
    expect(turned.action).not.toBe('move');
    expect(Math.abs(turned.shiftSeconds.mean)).toBeLessThan(2);
    // Somebody turned two units finer on purpose: that is no drift.
    const onPurpose = judge([...around(30, 20), ...around(34.5, 6, { grind: 10 })]);
    expect(onPurpose).toMatchObject({ state: 'steady', move: null, why: [{ code: 'turned' }] });
  });

  it('counts spoilt and unpurged shots little, and frees times from dose and yield', () => {
    const spurts = around(24, 3, { seen: ['spurts'] });
    expect(judge([...around(30, 20), ...spurts]).move).toBeNull();
    expect(judge([...around(30, 20), ...around(24, 3, { cause: 'channelled' })]).move).toBeNull();
    const heavy = around(30 * (19 / 18) ** 2, 6, { doseGrams: 19 });
    expect(judge([...around(30, 20), ...heavy])).toMatchObject({ state: 'steady' });
    const short = around(30 * (31 / 36) ** 0.92, 6, { yieldGrams: 31 });
    expect(judge([...around(30, 20), ...short])).toMatchObject({ state: 'steady' });
  });

  it('never leaves its limits, and says dial in where they are used up or moves did not help', () => {
    const away = around(40, 8);
    const usedUp = judge([
      ...around(30, 10),
      ...around(40, 4),
      ...around(40, 4, { grind: 13 }),
      ...around(40, 6, { grind: 15 }),
    ]);
    expect(usedUp).toMatchObject({ action: 'dial-in', move: null });
    expect(judge([...around(30, 20), ...away]).move!.grind.to).toBe(13);
    const unhelped = judge(
      [...around(30, 10), ...around(38, 6), ...around(38, 6, { grind: 13.5 }), ...around(38, 6, { grind: 15 })],
      { limits: { unitsPerMove: 1.5, unitsPerDay: 20 } },
    );
    expect(unhelped).toMatchObject({
      action: 'dial-in',
      why: expect.arrayContaining([expect.objectContaining({ code: 'did-not-help' })]),
    });
    const coarse = { min: 0, max: 40, step: 8, finer: 'lower' as const, logTimePerUnit: { mean: 0.07, sd: 0.015 } };
    expect(judge([...around(30, 20), ...around(34.5, 8)], { grinder: coarse }).move).toBeNull();
  });

  it('moves by what the tolerance is worth where nobody set limits', () => {
    const stepless = { min: 0, max: 12, step: 0, finer: 'lower' as const, logTimePerUnit: { mean: 0.22, sd: 0.03 } };
    const { move } = judge([...around(30, 20), ...around(23, 6)], { limits: null, grinder: stepless });
    // 10 % of the time at 22 % a unit.
    expect(move!.grind.from - move!.grind.to).toBeCloseTo(0.45, 2);
  });

  it('names bag, hopper and air only where they fit in time and direction', () => {
    const shots = [...around(30, 20), ...around(35, 5)];
    const air = (from: number, to: number): DayRequest['room'] =>
      [from, from, to].map((humidityPercent, i) => ({ at: at(55 * i), celsius: 22, humidityPercent }));
    expect(judge(shots, { room: air(44, 61) }).suspects).toEqual(['humidity']);
    expect(judge(shots, { room: air(61, 44) }).suspects).toEqual([]);
    expect(judge(shots).suspects).toEqual([]);
    const bag = (minute: number): DayRequest['events'] => [{ at: at(minute), kind: 'bag-opened' }];
    expect(judge(shots, { events: bag(115) }).suspects).toEqual(['bag']);
    expect(judge(shots, { events: bag(2) }).suspects).toEqual([]);
  });

  it('sees a dose that creeps up at unchanged seconds: the grind has gone coarser', () => {
    const creeping = around(25.5, 6, { doseGrams: 18.6 });
    const { why, suspects } = judge([...around(30, 10), ...creeping]);
    expect(why.map(({ code }) => code)).toContain('dose-creeps');
    expect(suspects).toContain('grinder');
  });

  it('holds the night and a taste for what they are', () => {
    const sour = around(28, 4, { taste: { balance: -2 } });
    const sweet = around(28, 4, { taste: { balance: 0 } });
    const [one, other] = [judge([...around(30, 10), ...sour]), judge([...around(30, 10), ...sweet])];
    expect(one.shiftSeconds.mean).toBeLessThan(other.shiftSeconds.mean);
    expect(judge(around(30, 10), { now: at(60 * 24) }).state).toBe('unknown');
  });
});

describe('the day’s line', () => {
  it('refuses by the name of the field, and goes on', () => {
    expect(dayLine('{')).toContain('is not JSON');
    const wrong = { ...requestOf(around(30, 2)), id: 'x', mood: 1, toleranceSeconds: 'three' };
    const { id, errors } = JSON.parse(dayLine(JSON.stringify(wrong))) as { id: string; errors: { path: string }[] };
    expect(id).toBe('x');
    expect(errors.map(({ path }) => path).sort()).toEqual(['', 'toleranceSeconds']);
    const asked = JSON.stringify(requestOf(around(30, 6)));
    expect(dayLine(asked)).toBe(dayLine(asked));
  });
});
