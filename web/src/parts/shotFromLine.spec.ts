import { parseShotLine } from '@olvet/core';
import { shotFromLine } from './shotFromLine';

const aim = { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 };
const now = new Date('2026-03-01T09:45:00Z');
const hours = { timeZone: 'UTC', firstHour: 4 };
const shot = (line: string) =>
  shotFromLine(parseShotLine(line).shot, {
    stationId: 'station',
    runId: 'run',
    kind: 'dial-in',
    aim,
    timer: 'pump-on',
    person: 'Oda',
    now,
    hours,
  });

describe('a shot from what was said', () => {
  it('keeps aim and measurement apart, and takes nothing for measured that nobody said', () => {
    expect(shot('yield 36.8 in 21.5')).toMatchObject({
      ...{ runId: 'run', grind: 14, doseGrams: null, yieldGrams: 36.8, timeSeconds: 21.5, assumed: [] },
      ...{ planned: aim, timer: 'pump-on', pulledBy: 'Oda', pulledAt: now.toISOString(), tasting: null },
    });
  });

  it('takes as planned what is called so, and says that it was', () => {
    expect(shot('29s dose planned')).toMatchObject({ doseGrams: 18, yieldGrams: null, assumed: ['doseGrams'] });
  });

  it('takes a grind said in the line as the one that stood there, and a taste as its author’s', () => {
    const { grind, planned, tasting } = shot('28s grind 12 sour');
    expect([grind, planned?.grind]).toEqual([12, 12]);
    expect(tasting).toMatchObject({ balance: -1.5, person: 'Oda' });
    expect(tasting?.id).toMatch(/^[0-9a-f-]{14}7/);
  });

  it('may have been poured earlier, from another clock, to check, or in two cups', () => {
    expect(shot('at 8:12 28s from first-drip check')).toMatchObject({
      ...{ pulledAt: '2026-03-01T08:12:00.000Z', timer: 'first-drip', kind: 'check' },
    });
    expect(shot('17+17.5')).toMatchObject({ cupGrams: [17, 17.5], yieldGrams: 34.5 });
    expect(shot('45 ml')).toMatchObject({ yieldMl: 45, yieldGrams: null });
  });
});
