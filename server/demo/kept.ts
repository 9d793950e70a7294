import { usualSlope, type LearnedSlope, type Settings } from '@olvet/core';
import { LEAD, type DemoStation } from './lanternQuay';
import type { HistoryMaker } from './maker';

/** Today at the station that Olvet keeps: so many shots, of which the burrs slow those from the fourth on, until it turns. */
export const KEPT = { shots: 10, driftsFrom: 3, turnsAt: 7, drift: 0.16, mostSteps: 2 };

/** The loop brings the station back by what it was off, in steps of the grinder. Gives the settings from then on. */
export function letKeeperTurn(
  maker: HistoryMaker,
  turn: {
    stationId: string;
    grinder: DemoStation['grinder'];
    learned: LearnedSlope | null;
    settings: Settings;
    at: Date;
  },
): Settings {
  const { stationId, grinder, learned, settings, at } = turn;
  const { step } = grinder;
  const fromGrind = settings.grind;
  const slope = learned?.mean ?? usualSlope(grinder).mean;
  const steps = Math.min(KEPT.mostSteps, Math.max(1, Math.round(KEPT.drift / slope / step)));
  const toGrind = fromGrind + (grinder.finer === 'higher' ? -1 : 1) * steps * step;
  const why = `${KEPT.turnsAt - KEPT.driftsFrom} shots in a row, about 4 s long.`;
  maker.add('day_moves', { stationId, at, answer: 'turned', fromGrind, toGrind, why, isKeeper: true, createdAt: at });
  const limits = { unitsPerMove: KEPT.mostSteps * step, unitsPerDay: 6 * step, shotsBetween: 3, fewestShots: 3 };
  const lookedAt = maker.at(0, 0);
  maker.add('keepers', { id: stationId, createdAt: lookedAt, changedBy: LEAD, ...limits, isOn: true, lookedAt });
  return { ...settings, grind: toGrind };
}
