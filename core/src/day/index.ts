export {
  CHECK_REASONS,
  clockTimeOf,
  clockTimeToday,
  dueCheck,
  lastClockTime,
  MOST_CHECK_TIMES,
  soonerCheck,
  USUAL_CHECK_TIMES,
  type CheckReason,
  type CheckRule,
  type DueCheck,
} from './checks';
export {
  dayAfter,
  daysBetween,
  isTimeZone,
  LATEST_FIRST_HOUR,
  shopDay,
  shopDayStart,
  startOfDay,
  USUAL_FIRST_HOUR,
  type ShopHours,
} from './shopDay';
