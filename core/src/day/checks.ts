import dayjs from 'dayjs';
import { shopDay, shopDayStart, type ShopHours } from './shopDay';

/** Why a check shot is due. */
export const CHECK_REASONS = ['opening', 'hour', 'new-bag', 'drift'] as const;
export type CheckReason = (typeof CHECK_REASONS)[number];

/** When a shop wants its stations checked. */
export interface CheckRule {
  checkAtOpening: boolean;
  /** HH:MM by the shop's clock. */
  checkTimes: readonly string[];
  checkAtNewBag: boolean;
}

/** Midday and afternoon (ordinary practice); each shop sets its own. */
export const USUAL_CHECK_TIMES = ['12:00', '15:00'] as const;
export const MOST_CHECK_TIMES = 12;

/** A check pulled so long before its hour is that hour's check. */
const EARLY_MINUTES = 30;

export interface DueCheck {
  dueAt: Date;
  reason: CheckReason;
  isDue: boolean;
}

/**
 * The check a station owes, or the next one of its day: null once nothing more is due today.
 * @param lastCheckAt the last shot somebody pulled to see how it stands; a dial-in counts
 */
export function dueCheck(
  rule: CheckRule,
  at: { now: Date; lastCheckAt: Date | null; bagOpenedAt: Date | null },
  hours: ShopHours,
): DueCheck | null {
  const { now, lastCheckAt, bagOpenedAt } = at;
  const dayStart = shopDayStart(now, hours);
  const points: { dueAt: Date; reason: CheckReason; graceMinutes: number }[] = [
    ...(rule.checkAtOpening ? [{ dueAt: dayStart, reason: 'opening' as const, graceMinutes: 0 }] : []),
    ...rule.checkTimes.map((time) => ({
      dueAt: clockTimeToday(time, now, hours),
      reason: 'hour' as const,
      graceMinutes: EARLY_MINUTES,
    })),
    ...(rule.checkAtNewBag && bagOpenedAt && bagOpenedAt >= dayStart
      ? [{ dueAt: bagOpenedAt, reason: 'new-bag' as const, graceMinutes: 0 }]
      : []),
  ].sort((a, b) => a.dueAt.getTime() - b.dueAt.getTime());
  const isDone = ({ dueAt, graceMinutes }: (typeof points)[number]): boolean =>
    lastCheckAt !== null && lastCheckAt.getTime() >= dueAt.getTime() - graceMinutes * 60_000;
  const owed = points.findLast((point) => point.dueAt <= now && !isDone(point));
  if (owed) return { dueAt: owed.dueAt, reason: owed.reason, isDue: true };
  const next = points.find((point) => point.dueAt > now && !isDone(point));
  return next ? { dueAt: next.dueAt, reason: next.reason, isDue: false } : null;
}

/**
 * The check a station owes by the rule or by how its day is judged, whichever comes first; what is due by the rule says so.
 * @param lookAgainAt when the judgement of the day wants another shot; null where there is none
 */
export function soonerCheck(byRule: DueCheck | null, lookAgainAt: Date | null, now: Date): DueCheck | null {
  if (byRule?.isDue || lookAgainAt === null) return byRule;
  const byDrift = { dueAt: lookAgainAt, reason: 'drift' as const, isDue: lookAgainAt <= now };
  return byRule && byRule.dueAt < lookAgainAt ? byRule : byDrift;
}

/** The instant of a clock time on the shop's day of `now`; hours before the day's first one are those after midnight. */
export function clockTimeToday(time: string, now: Date, { timeZone, firstHour }: ShopHours): Date {
  const day = shopDay(now, { timeZone, firstHour });
  const at = dayjs.tz(`${day}T${time}:00`, timeZone);
  return (Number(time.slice(0, 2)) < firstHour ? at.add(1, 'day') : at).toDate();
}

/** When it was last so late by the shop's clock: earlier today, else the day before. */
export function lastClockTime(time: string, now: Date, hours: ShopHours): Date {
  const today = clockTimeToday(time, now, hours);
  return today <= now ? today : dayjs(today).subtract(1, 'day').toDate();
}

/** HH:MM by the shop's clock. */
export function clockTimeOf(at: Date, { timeZone }: Pick<ShopHours, 'timeZone'>): string {
  return dayjs(at).tz(timeZone).format('HH:mm');
}
