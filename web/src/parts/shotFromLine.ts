import { lastClockTime, type Settings, type ShotLine, type ShopHours, type TimerStart } from '@olvet/core';
import { v7 } from 'uuid';
import type { ShotDto } from '../app/api';

/** Where and by what a shot was poured; what its line says comes on top. */
export interface Pulled {
  stationId: string;
  runId?: string | null;
  cardVersionId?: string | null;
  kind?: ShotDto['kind'];
  /** `grind` is null where nobody knows where the grinder stands. */
  aim: Omit<Settings, 'grind'> & { grind: number | null };
  timer: TimerStart;
  /** First name of whoever stands at the tablet. */
  person: string;
  now: Date;
  hours: ShopHours;
}

/**
 * A shot as it was said, ready to be stored: measured figures only where somebody said them, assumed ones as planned, what was
 * aimed at beside them. Where the grinder and the heat stood is taken from the aim: it was set for this shot.
 */
export function shotFromLine(line: ShotLine, { aim, timer, person, now, hours, ...place }: Pulled): ShotDto {
  const { taste, hour, isCheck, assumed = [], note, ...said } = line;
  const settings = { grind: said.grind ?? aim.grind, temperatureC: said.temperatureC ?? aim.temperatureC };
  return {
    ...place,
    kind: isCheck ? 'check' : place.kind,
    pulledAt: (hour ? lastClockTime(hour, now, hours) : now).toISOString(),
    pulledBy: person,
    ...settings,
    doseGrams: said.doseGrams ?? (assumed.includes('doseGrams') ? aim.doseGrams : null),
    yieldGrams: said.yieldGrams ?? (assumed.includes('yieldGrams') ? aim.yieldGrams : null),
    yieldMl: said.yieldMl ?? null,
    cupGrams: said.cupGrams ?? null,
    assumed,
    grindSeconds: said.grindSeconds ?? null,
    planned: { ...aim, ...settings },
    timeSeconds: said.timeSeconds ?? null,
    timer: said.timer ?? timer,
    firstDripSeconds: said.firstDripSeconds ?? null,
    tdsPercent: said.tdsPercent ?? null,
    seen: said.seen ?? [],
    purged: said.purged ?? true,
    cause: said.cause ?? null,
    versusLast: said.versusLast ?? null,
    verdict: said.verdict ?? null,
    note: note ?? null,
    tasting: taste ? { id: v7(), person, ...taste } : null,
  };
}
