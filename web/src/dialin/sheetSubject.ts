import type { Settings } from '@olvet/core';
import type { SheetView } from '../app/api';
import { soakOf, type PullSubject } from '../pull/subject';
import { plannedOf } from './settings';
import { timedSeconds } from './timedSeconds';

/** Behind the shot that runs, so many before it are drawn. */
const EARLIER_DRAWN = 3;

/** The next shot of a dial-in, ready to be pulled. */
export function sheetSubject(sheet: SheetView, aim: Settings): PullSubject {
  const { run, grinder, machine, shots, hasScale } = sheet;
  const { timeSeconds, timer } = run.target;
  const last = shots.at(-1);
  const isTurned = last !== undefined && plannedOf(last).grind !== aim.grind;
  const preBrew = run.methodId === 'hand-lever' ? 'lever' : (machine.preBrew ?? 'none');
  return {
    ...{ place: run.id, stationId: run.stationId, runId: run.id, kind: 'dial-in' as const },
    plan: { settings: aim, timeSeconds, timer },
    hasScale,
    ground: grinder.dosing === 'timed' ? { planned: timedSeconds(sheet, aim) } : null,
    purgeGrams: isTurned ? grinder.purgeGrams : null,
    preBrew,
    ...soakOf(preBrew),
    valveGrams:
      shots.findLast(({ valveGrams }) => valveGrams != null)?.valveGrams ?? sheet.reference?.valveGrams ?? null,
    basketMm: sheet.basket.diameterMm ?? null,
    earlier: shots
      .flatMap(({ traced }) => (traced && traced.line.length > 0 ? [traced.line] : []))
      .slice(-EARLIER_DRAWN),
    reference: sheet.reference?.line ?? null,
  };
}
