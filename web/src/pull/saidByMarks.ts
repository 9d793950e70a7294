import type { PullMark, SeenMark, ShotLine } from '@olvet/core';

/** What marks of the basket are called among the signs. */
const SIGN_OF = { spurt: 'spurts', 'dead-spot': 'dead-spots' } as const;

/** What was marked while it ran, as the line of a shot would say it: a spoilt shot is poured away. */
export function saidByMarks(marks: readonly PullMark[]): Pick<ShotLine, 'verdict'> & { seen: SeenMark[] } {
  const seen = marks.flatMap(({ kind, clock }) =>
    kind === 'spurt' || kind === 'dead-spot' ? [{ sign: SIGN_OF[kind], ...(clock ? { clock } : {}) }] : [],
  );
  const once = new Map(seen.map((mark) => [`${mark.sign} ${mark.clock}`, mark]));
  const isSpoilt = marks.some(({ kind }) => kind === 'spoilt');
  return { seen: [...once.values()], ...(isSpoilt ? { verdict: 'discard' as const } : {}) };
}
