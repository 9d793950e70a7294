import { shopDay, USUAL_FIRST_HOUR } from '@olvet/core';
import { useGetShopQuery } from '../app/api';

export interface ShopDay {
  /** The shop's day now, YYYY-MM-DD. */
  today: string;
  /** The shop's day of an instant, YYYY-MM-DD. */
  dayOf: (instant: string | number) => string;
}

/** Days as the shop counts them: by its own clock, from its own first hour; by this tablet's until that is known. */
export function useShopDay(): ShopDay {
  const { data: shop } = useGetShopQuery();
  const { timeZone, firstHour } = shop ?? HERE;
  const dayOf = (instant: string | number): string => shopDay(new Date(instant), { timeZone, firstHour });
  return { today: dayOf(Date.now()), dayOf };
}

const HERE = { timeZone: new Intl.DateTimeFormat().resolvedOptions().timeZone, firstHour: USUAL_FIRST_HOUR };
