import type { PullMarkKind } from '@olvet/core';

/** As they stand on the picture; null for what is not drawn. */
export const MARK_WORDS: Readonly<Record<PullMarkKind, string | null>> = {
  'pump-on': null,
  covered: 'covered',
  'first-drip': 'first drip',
  paling: 'paling',
  'pump-off': 'stop',
  'soak-ended': 'soak ended',
  'ten-grams': '10 g',
  spurt: 'spurt',
  'dead-spot': 'dead spot',
  spoilt: 'spoilt',
  cue: null,
};
