export {
  dayAfter,
  daysBetween,
  isTimeZone,
  LATEST_FIRST_HOUR,
  shopDay,
  shopDayStart,
  USUAL_FIRST_HOUR,
  type ShopHours,
} from './shopDay';
