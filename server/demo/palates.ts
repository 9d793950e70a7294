import type { TrueTaste } from '@olvet/core';
import { PEOPLE } from './lanternQuay';

/** One of the house likes its cups half a point to the bitter side, so that the tasters' tab has a story. */
const LIKES_IT_DARKER = PEOPLE[1]!;

/** A cup as this person marks it. */
function markedDarker(taste: TrueTaste): TrueTaste {
  const away = Math.hypot(taste.balance - 0.5, 0.7 * taste.body);
  return { ...taste, overall: Math.min(10, Math.max(0, Math.round(2 * (8.3 - 1.5 * away)) / 2)) };
}

/** What a person notes of a cup. */
export function notedBy(person: string, taste: TrueTaste): TrueTaste {
  return person === LIKES_IT_DARKER ? markedDarker(taste) : taste;
}
