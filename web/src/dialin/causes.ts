import type { Cause } from '@olvet/core';

/** What may have gone wrong, as one says it at the bar. */
export const CAUSE_WORDS: Record<Cause, string> = {
  'not-purged': 'not purged',
  channelled: 'channelled',
  'dose-off': 'dose off',
  'cold-group': 'cold group',
};
