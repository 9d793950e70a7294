import type { TastingDto, TastingView } from '../app/api';

/** What one person says of one cup. */
export type Note = Pick<TastingDto, 'balance' | 'body' | 'dryness' | 'sweetness' | 'overall' | 'share'>;

export function noteOf(tasting: TastingView | undefined): Note {
  if (!tasting) return {};
  const { balance, body, dryness, sweetness, overall, share } = tasting;
  return { balance, body, dryness, sweetness, overall, share };
}
