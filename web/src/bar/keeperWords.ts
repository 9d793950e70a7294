import type { HoldReason } from '@olvet/core';

/** Why the loop holds, and what to look at before it goes on. */
export const HOLD_WORDS: Readonly<Record<HoldReason, string>> = {
  'by-hand': 'You stopped it.',
  'nothing-to-keep': 'No card here has a found time: dial in and keep one.',
  'another-clock': 'The card counts from another moment than the machine.',
  'no-machine': 'The machine tells no shots: is it on and connected?',
  'no-grinder': 'The grinder does not answer: is it on and connected?',
  'grinder-elsewhere': 'The grinder stands elsewhere than the station says.',
  'grinder-refused': 'The grinder did not turn.',
  'taken-back': 'Its last turn was taken back.',
  'bag-opened': 'A bag was opened: taste one first.',
  'hopper-filled': 'The hopper was filled: look at a shot first.',
  'coffee-changed': 'Another coffee is in the hopper: dial in first.',
  'spoilt-run': 'Two of the last three shots were far off: look at the puck.',
  'did-not-help': 'Two turns did not help: dial in.',
};
