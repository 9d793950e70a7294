/** What somebody tasted: how much of a cup, from how much coffee. */
export interface Tasted {
  doseGrams: number;
  /** 1 = drunk, a quarter = sipped, 0 = spat out. */
  share: number;
  /** Share of arabica, %; robusta carries about twice as much. Unknown counts as arabica. */
  arabicaPercent?: number | null;
  decaf?: boolean;
}

/** About 60–80 mg for each full single; a single is 9 g of coffee here (half of an 18 g double). */
const MG_PER_SINGLE = { low: 60, high: 80 };
const SINGLE_GRAMS = 9;
const ROBUSTA_FACTOR = 2;
/** Decaffeinated coffee keeps a few hundredths. */
const DECAF_SHARE = 0.03;
/** Adults are commonly advised to stay near this in a day, less when pregnant: local health advice wins. */
export const CAFFEINE_NEAR_MG = 400;

/** Caffeine of a day's tasting, mg, as a range: cups differ more than any formula knows. */
export function caffeineOf(tasted: readonly Tasted[]): { low: number; high: number } {
  const singles = tasted.reduce((sum, { doseGrams, share, arabicaPercent, decaf }) => {
    const robusta = 1 - (arabicaPercent ?? 100) / 100;
    const strength = (1 + (ROBUSTA_FACTOR - 1) * robusta) * (decaf ? DECAF_SHARE : 1);
    return sum + (doseGrams / SINGLE_GRAMS) * share * strength;
  }, 0);
  return { low: Math.round(singles * MG_PER_SINGLE.low), high: Math.round(singles * MG_PER_SINGLE.high) };
}
