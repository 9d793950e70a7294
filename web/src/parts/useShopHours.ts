import { USUAL_FIRST_HOUR, type ShopHours } from '@olvet/core';
import { useGetShopQuery } from '../app/api';

const HERE: ShopHours = { timeZone: new Intl.DateTimeFormat().resolvedOptions().timeZone, firstHour: USUAL_FIRST_HOUR };

/** The shop's own clock and first hour; this tablet's clock until they are known. */
export function useShopHours(): ShopHours {
  const { timeZone, firstHour } = useGetShopQuery().data ?? HERE;
  return { timeZone, firstHour };
}
