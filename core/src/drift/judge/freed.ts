import type { DayShot, ValidDayRequest } from './contract';

/** By Darcy time goes with the yield; a little less, as the puck gives way [as in the belief of the advice]. */
const YIELD_EXPONENT = 0.92;
/** ln time for ln dose: a deeper bed, and more of it [as in the belief of the advice], and how badly that is known. */
const DOSE_EXPONENT = { mean: 2, sd: 0.7 };
/** Spread of what nobody measured, ln: a dose and a yield by eye. */
const UNMEASURED = { doseGrams: 0.015, yieldGrams: 0.03 };
/** Further off than this it was another drink. */
const OTHER_DRINK = 0.35;
/** Shots with these signs say more of their puck than of the grind. */
const SPOILING_SIGNS = new Set<string>(['spurts', 'late-rush', 'puck-crater']);

/** One shot, freed from what is known to have moved it. */
export interface FreedShot {
  at: number;
  grind: number;
  /** ln of its time over the card's, as it would have run with the card's dose and yield. */
  log: number;
  /** Spread that the freeing itself adds, ln. */
  addedSd: number;
  /** Known or seen to be spoilt, or poured through old grounds. */
  doubt: 'none' | 'unpurged' | 'spoilt';
  /** −3 sour to 3 bitter; null where nobody tasted. */
  balance: number | null;
  doseGrams: number | null;
  grindSeconds: number | null;
}

/** Shots that tell of the time, oldest first; the grind is that of the shot before where nobody said. */
export function freedShots({ card, shots }: Pick<ValidDayRequest, 'card' | 'shots'>): FreedShot[] {
  const freed: FreedShot[] = [];
  let { grind } = card;
  for (const shot of shots) {
    const turned = shot.grind != null && shot.grind !== grind;
    grind = shot.grind ?? grind;
    const one = freedShot(card, shot, grind, turned);
    if (one) freed.push(one);
  }
  return freed.sort((one, other) => one.at - other.at);
}

function freedShot(card: ValidDayRequest['card'], shot: DayShot, grind: number, turned: boolean): FreedShot | null {
  if (shot.timeSeconds == null) return null;
  const measured = (figure: 'doseGrams' | 'yieldGrams'): number =>
    shot.assumed?.includes(figure) ? card[figure] : (shot[figure] ?? card[figure]);
  const isMeasured = (figure: 'doseGrams' | 'yieldGrams'): boolean =>
    shot[figure] != null && !shot.assumed?.includes(figure);
  const byDose = Math.log(measured('doseGrams') / card.doseGrams);
  const byYield = Math.log(measured('yieldGrams') / card.yieldGrams);
  if (Math.abs(byDose) > OTHER_DRINK || Math.abs(byYield) > OTHER_DRINK) return null;
  const log =
    Math.log(shot.timeSeconds / card.timeSeconds.mean) - DOSE_EXPONENT.mean * byDose - YIELD_EXPONENT * byYield;
  const unmeasured = (['doseGrams', 'yieldGrams'] as const).map((figure) =>
    isMeasured(figure) ? 0 : UNMEASURED[figure],
  );
  const isSpoilt = shot.cause != null || (shot.seen ?? []).some((sign) => SPOILING_SIGNS.has(sign));
  return {
    at: Date.parse(shot.at),
    grind,
    log,
    addedSd: Math.hypot(DOSE_EXPONENT.sd * byDose, ...unmeasured),
    doubt: isSpoilt ? 'spoilt' : turned && shot.purged === false ? 'unpurged' : 'none',
    balance: shot.taste?.balance ?? null,
    doseGrams: isMeasured('doseGrams') ? shot.doseGrams! : null,
    grindSeconds: shot.grindSeconds ?? null,
  };
}
