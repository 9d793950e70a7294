/** Where the shot clock starts. First drip comes some 5–8 s after pump on; total contact counts pre-brew too. */
export const TIMER_STARTS = ['pump-on', 'first-drip', 'total-contact'] as const;
export type TimerStart = (typeof TIMER_STARTS)[number];

export const ROASTS = ['light', 'medium-light', 'medium', 'medium-dark', 'dark'] as const;
export type Roast = (typeof ROASTS)[number];

/** What an eye sees during or after a shot. */
export const SIGNS = [
  /** Looked, and nothing was wrong. */
  'clean',
  'spurts',
  'dead-spots',
  'early-blonding',
  'gushing',
  'dripping',
  'uneven-spouts',
  'late-rush',
  'soupy-puck',
  'screen-imprint',
  'puck-crater',
] as const;
export type Sign = (typeof SIGNS)[number];

/** What else there is to see, which says nothing of what went wrong: how the tail ran, and the crema, which tells freshness and roast. */
export const LOOKS = ['tail-curling', 'tail-wide', 'crema-thick', 'crema-thin', 'crema-gone'] as const;
export type Look = (typeof LOOKS)[number];

/** What of a shot can be taken as planned where nobody measured it; never its time, nor its taste. */
export const ASSUMABLE = ['doseGrams', 'yieldGrams', 'grind', 'temperatureC'] as const;
export type Assumable = (typeof ASSUMABLE)[number];

/** What a cup was good for. */
export const SERVINGS = ['serve', 'discard'] as const;
export type Serving = (typeof SERVINGS)[number];

/** Why a shot was pulled: to find a recipe, for a guest, or to see whether the recipe still holds. */
export const SHOT_KINDS = ['dial-in', 'service', 'check'] as const;
export type ShotKind = (typeof SHOT_KINDS)[number];

/** What may have gone wrong with one shot, the likeliest first: the order a practised eye goes through. */
export const CAUSES = ['not-purged', 'channelled', 'dose-off', 'cold-group'] as const;
export type Cause = (typeof CAUSES)[number];

/** One cup against the one before. */
export const VERDICTS = ['better', 'same', 'worse'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A closed interval of seconds. */
export interface SecondsRange {
  min: number;
  max: number;
}
