import { setTimeout as sleep } from 'node:timers/promises';
import { v7 } from 'uuid';
import { LiveService } from '../live/live.service';
import { cardBody, furnish, RECIPE, shotBody, testHouse, type Furnished } from '../testing/testHouse';

/** Monday noon at a shop whose clock is UTC. */
let now = Date.parse('2026-03-02T12:00:00Z');
const house = testHouse({ now: () => now });

interface Judged {
  state: string;
  action: string;
  foundSeconds: number;
  shots: { timeSeconds: number; kind: string }[];
  air: { humidityPercent: number | null }[];
  suspects: string[];
  marks: { kind: string; grind: number | null }[];
  move: { grind: { from: number; to: number } } | null;
  why: string[];
  lastMove: { answer: string; why: string; fromGrind: number | null } | null;
  shotsSince: number;
}
const at = (minutesAgo: number): string => new Date(now - 60_000 * minutesAgo).toISOString();
const judged = async ({ stationId }: Furnished): Promise<{ day: Judged | null; grind: number; state: string }> => {
  const board = await house.get<{ stations: { station: { id: string; grind: number }; day: Judged; state: string }[] }>(
    'board',
  );
  const { day, station, state } = board.stations.find((each) => each.station.id === stationId)!;
  return { day, grind: station.grind, state };
};
const PLAN = { grind: 11.5, doseGrams: 18, yieldGrams: 37, seen: [] };
const pull = (ids: Furnished, timeSeconds: number, minutesAgo: number, change: object = {}) =>
  house
    .put(`shots/${v7()}`, shotBody(ids, { ...PLAN, runId: null, timeSeconds, pulledAt: at(minutesAgo), ...change }))
    .expect(200);
const move = (ids: Furnished, id: string, change: object) =>
  house.put(`day-moves/${id}`, { stationId: ids.stationId, at: at(0), answer: 'turned', ...change });
const pathsOf = ({ body }: { body: { errors?: { path: string }[] } }) => body.errors?.map(({ path }) => path);

/** A station whose card was found at 30 s this morning, and what it poured since, ten minutes apart. */
async function served(tag: string, times: readonly number[]): Promise<Furnished> {
  const ids = await furnish(house, ` ${tag}`);
  for (const seconds of [29.5, 30.5, 30]) {
    await house.put(`shots/${v7()}`, shotBody(ids, { ...PLAN, timeSeconds: seconds, pulledAt: at(300) })).expect(200);
  }
  await house.put(`runs/${ids.runId}/card`, cardBody({ recipe: RECIPE })).expect(200);
  for (const [i, seconds] of times.entries()) await pull(ids, seconds, 10 * (times.length - i));
  return ids;
}

describe('a station through its day', () => {
  it('tells every page of each row that is written', async () => {
    const heard: object[] = [];
    const listening = house.app.get(LiveService).events.subscribe(({ event }) => heard.push(event));
    const ids = await served('told', [30]);
    const id = v7();
    await move(ids, id, { toGrind: 12 }).expect(200);
    await sleep(300);
    listening.unsubscribe();
    expect(heard).toContainEqual({ kind: 'row', type: 'DayMoves', id });
    expect(heard).toContainEqual({ kind: 'row', type: 'Runs', id: ids.runId });
    expect(heard.filter((event) => (event as { type?: string }).type === 'Shots').length).toBeGreaterThan(3);
  });

  it('is judged against the time its card was found at', async () => {
    const steady = await judged(await served('steady', [30, 29.4, 31, 30.2, 29.9]));
    expect(steady.day).toMatchObject({ state: 'steady', action: 'none', foundSeconds: 30, move: null });
    expect(steady.day!.shots).toHaveLength(8);
    const odd = await judged(await served('odd', [30, 29.4, 31, 30.2, 22]));
    expect(odd.day).toMatchObject({ state: 'odd-shot', action: 'check', move: null });
    const bare = await furnish(house, ' bare');
    expect((await judged(bare)).day).toBeNull();
  });

  it('is brought back by one write, which can be taken back, and once however often it is sent', async () => {
    const ids = await served('drifting', [30, 30.4, 35.6, 35.1, 35.9, 35.4]);
    const before = await judged(ids);
    expect(before.day).toMatchObject({ state: 'drifting-slow', action: 'move' });
    const { to } = before.day!.move!.grind;
    expect(to).toBeGreaterThan(11.5);
    const id = v7();
    const turn = { toGrind: to, at: at(0), why: before.day!.why.join(' ') };
    await move(ids, id, turn).expect(200);
    await move(ids, id, turn).expect(200);
    const turned = await judged(ids);
    expect(turned.grind).toBe(to);
    expect(turned.day).toMatchObject({
      action: 'check',
      lastMove: { answer: 'turned', fromGrind: 11.5 },
      shotsSince: 0,
    });
    expect(turned.day!.marks).toEqual([expect.objectContaining({ kind: 'grind-changed', grind: to })]);
    await move(ids, id, { ...turn, undoneAt: at(0), revision: 1 }).expect(200);
    const back = await judged(ids);
    expect(back.grind).toBe(11.5);
    expect(back.day).toMatchObject({ action: 'move', lastMove: null });
  });

  it('expects the next shots where a move should have brought them', async () => {
    const ids = await served('helped', [30, 30.4, 35.6, 35.1, 35.9, 35.4]);
    const { to } = (await judged(ids)).day!.move!.grind;
    await move(ids, v7(), { toGrind: to }).expect(200);
    now += 10 * 60_000;
    await pull(ids, 30.3, 1, { grind: to });
    const { day } = await judged(ids);
    expect(day).toMatchObject({ state: 'steady', move: null, shotsSince: 1 });
  });

  it('knows the air of the room, as it was typed in', async () => {
    const ids = await served('damp', [30, 29.6, 30.3, 35.6, 35.1, 35.9, 35.4]);
    const air = (minutesAgo: number, humidityPercent: number) =>
      house.put(`room-readings/${v7()}`, { at: at(minutesAgo), humidityPercent });
    await air(200, 44).expect(200);
    await air(30, 60).expect(200);
    const { day } = await judged(ids);
    expect(day!.air.map(({ humidityPercent }) => humidityPercent)).toEqual([44, 60]);
    expect(day).toMatchObject({ state: 'drifting-slow', suspects: ['humidity'] });
    const nothing = await house.put(`room-readings/${v7()}`, { at: at(0) }).expect(422);
    expect(pathsOf(nothing)).toEqual(['celsius']);
    await house.put(`room-readings/${v7()}`, { at: at(0), humidityPercent: 140 }).expect(400);
  });

  it('keeps why it was let be, and what nobody can do', async () => {
    const ids = await served('left', [30, 35.6, 35.1, 35.9, 35.4]);
    await move(ids, v7(), { answer: 'left', why: 'It tastes right' }).expect(200);
    const { day, grind } = await judged(ids);
    expect(grind).toBe(11.5);
    expect(day!.lastMove).toMatchObject({ answer: 'left', why: 'It tastes right', fromGrind: null });
    expect(pathsOf(await move(ids, v7(), {}).expect(422))).toEqual(['toGrind']);
    expect(pathsOf(await move(ids, v7(), { toGrind: 99 }).expect(422))).toEqual(['toGrind']);
    await move({ ...ids, stationId: v7() }, v7(), { toGrind: 12 }).expect(404);
    const id = v7();
    const turn = { toGrind: 12, at: at(0) };
    await move(ids, id, turn).expect(200);
    await move(ids, v7(), { toGrind: 12.5 }).expect(200);
    expect(pathsOf(await move(ids, id, { ...turn, undoneAt: at(0), revision: 1 }).expect(409))).toEqual(['undoneAt']);
  });
});
