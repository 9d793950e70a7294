import { CARE_CODES, careTask, type CareTaskCode } from '@olvet/core';
import { LEAD, PEOPLE } from './lanternQuay';
import type { HistoryMaker } from './maker';

/** Days since each was done last, machine or grinder by name where one is apart from the rest. */
const DAYS_AGO: Partial<Record<CareTaskCode, Readonly<Record<string, number>>>> = {
  water: { '': 0 },
  waste: { '': 0 },
  rinse: { '': 0 },
  soak: { '': 3 },
  // The one thing overdue.
  backflush: { '': 4, 'Harbour twin': 10 },
  'brush-out': { '': 2, Tern: 5 },
};
const USUAL_DAYS = 7;
/** A made-up maker's figure, kg. */
const BURRS_KG = 600;

/** Eight weeks of care: weekly things weekly, the last by who was there, one overdue. */
export function addCare(maker: HistoryMaker): void {
  const used = (pick: 'machineId' | 'grinderId') => [...new Set(maker.rows.stations.map((row) => row[pick] as string))];
  const machines = used('machineId').map((id) => ({ machineId: id, name: maker.row('machines', id).name as string }));
  const grinders = used('grinderId').map((id) => ({ grinderId: id, name: maker.row('grinders', id).name as string }));
  const at = { machine: machines, grinder: grinders, bar: [{ name: '' }] };
  for (const task of CARE_CODES) {
    const days = DAYS_AGO[task];
    if (!days) continue;
    for (const { name, ...where } of at[careTask(task).place]) {
      const last = days[name] ?? days['']!;
      const times = careTask(task).every.days === USUAL_DAYS ? [last + USUAL_DAYS, last] : [last];
      for (const [i, daysAgo] of times.entries()) {
        const done = maker.at(daysAgo, 0);
        const changedBy = i === 0 ? LEAD : PEOPLE[(last + i) % PEOPLE.length];
        maker.add('care_done', { task, ...where, at: done, changedBy, createdAt: done });
      }
    }
  }
  for (const { grinderId } of grinders) maker.row('grinders', grinderId).burrLifeKg = BURRS_KG;
}

/** Each station as it always did; one took to needles three weeks ago. */
export function addWays(maker: HistoryMaker): void {
  const way = { distribution: 'by-hand', levelling: 'tool', tamp: 'fixed', mist: 'no', tap: 'no', changedBy: LEAD };
  for (const { id: stationId, name } of maker.rows.stations) {
    const began = maker.at(55, 0);
    maker.add('preparations', { stationId, at: began, createdAt: began, ...way });
    if (name !== 'Right bar') continue;
    const at = maker.at(21, 0);
    const note = 'a light roast clumps';
    maker.add('preparations', { stationId, at, createdAt: at, ...way, distribution: 'needles', note });
  }
}
