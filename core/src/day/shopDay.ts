import dayjs, { type Dayjs } from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** When a shop's day is: its clock, and the hour at which yesterday ends for the people who work there. */
export interface ShopHours {
  /** IANA name, like Europe/Lisbon. */
  timeZone: string;
  /** 0 to 11: a shot before this hour still belongs to the evening before. */
  firstHour: number;
}

export const LATEST_FIRST_HOUR = 11;

/** A bar that closes after midnight has not begun a new day; the first machine is switched on later than this. */
export const USUAL_FIRST_HOUR = 4;

const DAY = 'YYYY-MM-DD';

/** The shop's day of this instant, YYYY-MM-DD. */
export function shopDay(at: Date, hours: ShopHours): string {
  return dayOf(at, hours).format(DAY);
}

/** When the shop's day of this instant began. */
export function shopDayStart(at: Date, hours: ShopHours): Date {
  return startOfDay(shopDay(at, hours), hours);
}

/** When a day of the shop, YYYY-MM-DD, begins. */
export function startOfDay(day: string, { timeZone, firstHour }: ShopHours): Date {
  return dayjs.tz(`${day}T${String(firstHour).padStart(2, '0')}:00:00`, timeZone).toDate();
}

/** Whole days from one calendar day to another, both YYYY-MM-DD; negative where `to` is earlier. */
export function daysBetween(from: string, to: string): number {
  return dayjs.utc(to).diff(dayjs.utc(from), 'day');
}

/** The calendar day so many days later, YYYY-MM-DD. */
export function dayAfter(day: string, days: number): string {
  return dayjs.utc(day).add(days, 'day').format(DAY);
}

/** Does this machine know a time zone of this name? */
export function isTimeZone(name: string): boolean {
  try {
    return /^[A-Z]/i.test(name) && new Intl.DateTimeFormat('en', { timeZone: name }).format(0) !== '';
  } catch {
    return false;
  }
}

/** The wall clock's day, of the day before while that one is not over. */
function dayOf(at: Date, { timeZone, firstHour }: ShopHours): Dayjs {
  const wall = dayjs(at).tz(timeZone);
  return wall.hour() < firstHour ? wall.subtract(1, 'day') : wall;
}
