import { dayAfter, daysBetween, isTimeZone, shopDay, shopDayStart, type ShopHours } from './shopDay';

const at = (hours: ShopHours, instant: string) => ({
  day: shopDay(new Date(instant), hours),
  start: shopDayStart(new Date(instant), hours).toISOString(),
});

describe('a shop’s day', () => {
  const lisbon = { timeZone: 'Europe/Lisbon', firstHour: 4 };
  const tokyo = { timeZone: 'Asia/Tokyo', firstHour: 0 };

  it('is its own, wherever the server stands', () => {
    expect(at(tokyo, '2026-03-01T16:00:00Z')).toEqual({ day: '2026-03-02', start: '2026-03-01T15:00:00.000Z' });
    expect(at({ ...tokyo, timeZone: 'America/New_York' }, '2026-03-01T04:59:00Z').day).toBe('2026-02-28');
  });

  it('ends with the shift, not at midnight', () => {
    expect(at(lisbon, '2026-01-02T03:59:00Z')).toEqual({ day: '2026-01-01', start: '2026-01-01T04:00:00.000Z' });
    expect(at(lisbon, '2026-01-02T04:00:00Z')).toEqual({ day: '2026-01-02', start: '2026-01-02T04:00:00.000Z' });
  });

  it.each([
    ['clocks go forward', '2026-03-29T12:00:00Z', '2026-03-29T03:00:00.000Z'],
    ['the day after', '2026-03-30T12:00:00Z', '2026-03-30T03:00:00.000Z'],
    ['clocks go back', '2026-10-25T12:00:00Z', '2026-10-25T04:00:00.000Z'],
  ])('begins at the same wall clock when %s', (_when, instant, start) => {
    expect(at(lisbon, instant).start).toBe(start);
  });

  it('begins at or before every instant of it, less than 25 h ago', () => {
    for (let hour = 0; hour < 24 * 365; hour += 61) {
      const now = new Date(Date.UTC(2026, 0, 1, hour, 30));
      const hours = (now.getTime() - shopDayStart(now, lisbon).getTime()) / 3_600_000;
      expect(hours).toBeGreaterThanOrEqual(0);
      expect(hours).toBeLessThan(25);
    }
  });

  it('counts days by the calendar', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(dayAfter('2026-02-28', 1)).toBe('2026-03-01');
  });

  it('knows the names of zones', () => {
    expect(['Europe/Lisbon', 'UTC', 'Mars/Base', '', '+01:00'].map(isTimeZone)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
  });
});
