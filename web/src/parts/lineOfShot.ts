import type { ShotLine } from '@olvet/core';
import type { SheetShotView, ShotView } from '../app/api';

/** A stored shot as its line would say it: what nobody said is left out, and what always is so. */
export function lineOfShot(shot: Omit<SheetShotView, 'tastings'> | ShotView): ShotLine {
  const { doseGrams, yieldGrams, yieldMl, cupGrams, grindSeconds, timeSeconds, grind, firstDripSeconds } = shot;
  const { tdsPercent, verdict, versusLast, cause, note, kind, purged, assumed, seen } = shot;
  const said = {
    ...{ doseGrams, yieldGrams, yieldMl, cupGrams, grindSeconds, timeSeconds, grind, firstDripSeconds, tdsPercent },
    ...{ verdict, versusLast, cause, note: note || null },
    isCheck: kind === 'check' || null,
    purged: purged ? null : false,
    assumed: assumed && assumed.length > 0 ? assumed : null,
    seen: seen.map(({ sign, clock }) => ({ sign, ...(clock == null ? {} : { clock }) })),
  };
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value != null)) as ShotLine;
}
