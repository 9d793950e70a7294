import { shopDay, USUAL_FIRST_HOUR } from '@olvet/core';
import { useGetShopQuery } from '../app/api';
import { useNow } from './useNow';

const EVERY_MINUTE_MS = 60_000;

export interface ShopDay {
  /** The shop's day now, YYYY-MM-DD. */
  today: string;
  /** The shop's day of an instant, YYYY-MM-DD. */
  dayOf: (instant: string | number) => string;
}

/** Days as the shop counts them: by its own clock, from its own first hour; by this tablet's until that is known. */
export function useShopDay(): ShopDay {
  const { data: shop } = useGetShopQuery();
  const now = useNow(EVERY_MINUTE_MS);
  const { timeZone, firstHour } = shop ?? HERE;
  const dayOf = (instant: string | number): string => shopDay(new Date(instant), { timeZone, firstHour });
  return { today: dayOf(now), dayOf };
}

const HERE = { timeZone: new Intl.DateTimeFormat().resolvedOptions().timeZone, firstHour: USUAL_FIRST_HOUR };
