import type { Settings, ShotLine } from '@olvet/core';
import { v7 } from 'uuid';
import type { SheetShotView, SheetView, ShotDto } from '../app/api';
import { withoutRow } from '../parts/withoutRow';

/**
 * A shot as entered, ready to be stored: what was aimed at is kept beside what was measured. Seconds of grinding come only
 * where dose or seconds were really told.
 */
export function newShotDto(sheet: SheetView, aim: Settings, line: ShotLine, pulledAt: Date): ShotDto {
  const { run } = sheet;
  const { taste } = line;
  return {
    runId: run.id,
    stationId: run.stationId,
    pulledAt: pulledAt.toISOString(),
    grind: line.grind ?? aim.grind,
    doseGrams: line.doseGrams ?? aim.doseGrams,
    grindSeconds: line.grindSeconds ?? null,
    yieldGrams: line.yieldGrams ?? null,
    temperatureC: line.temperatureC ?? aim.temperatureC,
    planned: { ...aim, grind: line.grind ?? aim.grind, temperatureC: line.temperatureC ?? aim.temperatureC },
    timeSeconds: line.timeSeconds ?? null,
    timer: run.target.timer,
    firstDripSeconds: line.firstDripSeconds ?? null,
    tdsPercent: line.tdsPercent ?? null,
    seen: line.seen ?? [],
    purged: line.purged ?? true,
    verdict: line.verdict ?? null,
    tasting: taste ? { id: v7(), ...taste } : null,
  };
}

/** A poured shot as it was stored, to be sent again with a change. */
export function storedShotDto(shot: SheetShotView, change: Partial<ShotDto>): ShotDto {
  const { tastings: _tastings, ...stored } = withoutRow(shot);
  return { ...stored, ...change };
}
