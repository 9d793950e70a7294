import { shopDay } from '@olvet/core';
import { useNow } from './useNow';
import { useShopHours } from './useShopHours';

const EVERY_MINUTE_MS = 60_000;

export interface ShopDay {
  /** The shop's day now, YYYY-MM-DD. */
  today: string;
  /** The shop's day of an instant, YYYY-MM-DD. */
  dayOf: (instant: string | number) => string;
}

/** Days as the shop counts them: by its own clock, from its own first hour. */
export function useShopDay(): ShopDay {
  const hours = useShopHours();
  const now = useNow(EVERY_MINUTE_MS);
  const dayOf = (instant: string | number): string => shopDay(new Date(instant), hours);
  return { today: dayOf(now), dayOf };
}
