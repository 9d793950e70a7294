import { isSurprising, type Evidence } from '../shots/evidence';
import type { Outlook } from '../../belief/particles';
import { sawChannel } from '../../belief/pour';
import { WINDOW_DOUBT } from '../shots/inTime';
import type { Problem } from '../../belief/problem';

/** A channel makes a shot faster by no more than this share of it: further short of the window it is too coarse besides. */
const CHANNEL_SHARE = 0.3;
/** Spoilt pucks in a row that are put down to preparation; one more where the shots ran short and nothing else is known to be wrong. */
const MOST_PREPARED = { channels: 2, muddled: 1, short: 3 };

/**
 * Preparation before anything else: when channels come twice, when the cup is harsh without being bitter, or when a
 * channel alone may explain a time outside the window. A third spoilt puck is not the hand's fault any more, and a shot that
 * is too slow in spite of a channel is too fine without it.
 */
export function mustPrepare(problem: Problem, evidence: Evidence, here: Outlook): boolean {
  const { spoilt, spoiltInARow, last } = evidence;
  const isOutside = here.windowShare <= 0.25;
  if (spoilt === null) return false;
  // Of a shot that ran short nothing else is known to be wrong while its settings are believed to be in the window.
  if (spoiltInARow > mostPrepared(evidence)) {
    const isWorthCare = spoiltInARow <= MOST_PREPARED.short && here.windowShare >= WINDOW_DOUBT;
    return isWorthCare && !isTooTight(problem, evidence);
  }
  if (spoilt === 'muddled') return true;
  const { min, max } = problem.request.target.timeSeconds;
  const seconds = last.timeSeconds ?? 0;
  if (isOutside && seconds > max) return false;
  return spoiltInARow > 1 || !isOutside || isSurprising(evidence) || seconds >= (1 - CHANNEL_SHARE) * min;
}

/**
 * Care did not help: water breaks through a bed that is too tight. Coarser, and never finer after the sourness. A shot that
 * ran short of the window is not too tight.
 */
export function isTooTight(problem: Problem, evidence: Evidence): boolean {
  const { spoilt, spoiltInARow, last } = evidence;
  if (spoilt === null || spoiltInARow <= mostPrepared(evidence)) return false;
  return (last.timeSeconds ?? Infinity) >= problem.request.target.timeSeconds.min;
}

/** A channel somebody saw is prepared for twice, though the cup was harsh besides. */
function mostPrepared({ spoilt, last }: Evidence): number {
  return MOST_PREPARED[spoilt === 'muddled' && !sawChannel(last) ? 'muddled' : 'channels'];
}
