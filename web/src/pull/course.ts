import { plainNumber, type TraceAnswer } from '@olvet/core';
import type { PullPlan } from './livePull';

export interface Course {
  side: 'fast' | 'slow' | 'on-target' | null;
  /** Two or three words. */
  title: string;
  /** What to do, and what follows. */
  detail: string;
}

/** What the running shot comes to, as one says it across the bar. */
export function courseOf(trace: TraceAnswer | null, { timeSeconds, settings }: PullPlan): Course | null {
  if (!trace) return null;
  const { phase, landing, stop, summary } = trace;
  if (phase === 'soaking')
    return { side: null, title: 'Soaking.', detail: 'Watch the filter from below: edges first, then the middle.' };
  if (phase === 'dripping') return { side: null, title: 'Dripping.', detail: 'The last drops count: leave the cup.' };
  if (phase === 'settled' && summary) {
    const rush = summary.isLateRush ? ' It ran faster at the end: the puck gave way.' : '';
    return {
      side: null,
      title: `${plainNumber(summary.yieldGrams, 1)} g.`,
      detail: `${plainNumber(summary.dripGrams, 1)} g fell after the stop.${rush}`,
    };
  }
  if (!landing || !stop) return null;
  const at = landing.timeSeconds.mean;
  const side = at < timeSeconds.min ? 'fast' : at > timeSeconds.max ? 'slow' : 'on-target';
  const title = { fast: 'Running fast.', slow: 'Running slow.', 'on-target': 'On course.' }[side];
  const lands = `${plainNumber(settings.yieldGrams)} g at about ${plainNumber(at, 0)} s (${plainNumber(landing.timeSeconds.p10, 0)}–${plainNumber(landing.timeSeconds.p90, 0)})`;
  return { side, title, detail: lands };
}
