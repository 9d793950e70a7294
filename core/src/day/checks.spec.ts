import { clockTimeOf, clockTimeToday, dueCheck, lastClockTime, soonerCheck, USUAL_CHECK_TIMES } from './index';

const hours = { timeZone: 'Europe/Lisbon', firstHour: 4 };
const rule = { checkAtOpening: true, checkTimes: [...USUAL_CHECK_TIMES], checkAtNewBag: true };
/** In March Lisbon's clock is UTC. */
const at = (time: string, day = '2026-03-02') => new Date(`${day}T${time}:00Z`);
const due = (now: string, lastCheck: string | null, bag: string | null = null) => {
  const found = dueCheck(
    rule,
    {
      now: at(now),
      lastCheckAt: lastCheck === null ? null : at(lastCheck),
      bagOpenedAt: bag === null ? null : at(bag),
    },
    hours,
  );
  return found && `${found.reason} ${clockTimeOf(found.dueAt, hours)}${found.isDue ? ' due' : ''}`;
};

describe('the check a station owes', () => {
  it.each([
    ['06:30', null, null, 'opening 04:00 due'],
    ['06:50', '06:45', null, 'hour 12:00'],
    ['12:10', '06:45', null, 'hour 12:00 due'],
    ['12:10', '11:40', null, 'hour 15:00'],
    ['12:10', '11:20', null, 'hour 12:00 due'],
    ['13:20', '12:05', '13:10', 'new-bag 13:10 due'],
    ['13:20', '13:15', '13:10', 'hour 15:00'],
    ['16:00', '15:01', null, null],
  ])('at %s, last checked %s, bag opened %s: %s', (now, last, bag, expected) => {
    expect(due(now, last, bag)).toBe(expected);
  });

  it('is what the shop asks for, and nothing else', () => {
    const silent = { checkAtOpening: false, checkTimes: [], checkAtNewBag: false };
    const now = { now: at('12:00'), lastCheckAt: null, bagOpenedAt: at('11:00') };
    expect(dueCheck(silent, now, hours)).toBeNull();
  });
});

describe('a check by rule and by drift', () => {
  const byRule = (time: string, isDue = false) => ({ dueAt: at(time), reason: 'hour' as const, isDue });
  it.each([
    ['what is due by the rule says so', byRule('12:00', true), '11:00', 'hour 12:00 due'],
    ['the sooner one counts', byRule('15:00'), '13:00', 'drift 13:00'],
    ['the rule where it is sooner', byRule('12:45'), '13:00', 'hour 12:45'],
    ['a judgement that wants one now', null, '12:30', 'drift 12:30 due'],
  ])('%s', (_name, rule, lookAgain, expected) => {
    const { reason, dueAt, isDue } = soonerCheck(rule, at(lookAgain), at('12:30'))!;
    expect(`${reason} ${clockTimeOf(dueAt, hours)}${isDue ? ' due' : ''}`).toBe(expected);
  });

  it('is none where nobody asks', () => {
    expect(soonerCheck(null, null, at('12:00'))).toBeNull();
  });
});

describe('a time of the clock', () => {
  it('after midnight belongs to the day before', () => {
    expect(clockTimeToday('01:30', at('22:00'), hours)).toEqual(at('01:30', '2026-03-03'));
    expect(clockTimeToday('08:12', at('01:00', '2026-03-03'), hours)).toEqual(at('08:12'));
  });

  it('that is still to come was yesterday', () => {
    expect(lastClockTime('08:12', at('09:00'), hours)).toEqual(at('08:12'));
    expect(lastClockTime('10:00', at('09:00'), hours)).toEqual(at('10:00', '2026-03-01'));
  });
});
