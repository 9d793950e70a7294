import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { Station } from '../stations/station.entity';
import { cardBody, dtoOf, furnish, testHouse, shotBody, type Furnished } from '../testing/testHouse';

const house = testHouse();

interface StationRow {
  station: { id: string };
  state: string;
  start: { grind: number; sd: number } | null;
  openRunId: string | null;
  cardId: string | null;
  ageDays: number | null;
  shots: { timeSeconds: number }[];
}
interface Board {
  stations: StationRow[];
  gramsToday: number;
  shotsToday: number;
}
const board = () => house.get<Board>('board');
const standing = async (ids: Furnished): Promise<StationRow | undefined> =>
  (await board()).stations.find(({ station }) => station.id === ids.stationId);

/** A station whose first dial-in is over, with these shots a minute apart up to now. */
async function served(tag: string, times: readonly number[], change: object = {}): Promise<Furnished> {
  const ids = await furnish(house, ` ${tag}`);
  await house.put(`runs/${ids.runId}/card`, cardBody()).expect(200);
  for (const [i, timeSeconds] of times.entries()) await pull(ids, timeSeconds, times.length - i, change);
  return ids;
}
const secondsAgo = (seconds: number): string => dayjs().subtract(seconds, 'second').toISOString();
const pull = (ids: Furnished, timeSeconds: number, ago: number, change: object = {}) =>
  house
    .put(
      `shots/${v7()}`,
      shotBody(ids, { runId: null, pulledAt: secondsAgo(ago), timeSeconds, grind: 11.5, ...change }),
    )
    .expect(200);

// Around midnight "today" is a few seconds long.
const isMidnight = dayjs().diff(dayjs().startOf('day'), 'second') < 60;
const today = isMidnight ? it.skip : it;

describe('a station', () => {
  today.each([
    ['dialled', [29, 31, 30]],
    ['dialled', [29, 31, 24]],
    ['dialled', [24]],
    ['drifting-fast', [30, 25, 24, 26]],
    ['drifting-slow', [30, 36, 35, 37]],
    ['dialled', [24, 36, 24]],
  ])('stands %s after %j s', async (state, times) => {
    expect((await standing(await served(`${state} ${times.join()}`, times)))!.state).toBe(state);
  });

  today('says where a dial-in begins once it has drifted, and only then', async () => {
    const fast = (await standing(await served('start fast', [25, 25, 25])))!;
    expect(fast.start!.grind).toBeLessThan(11.5);
    expect(fast.start!.sd).toBeGreaterThan(0);
    expect((await standing(await served('start at peace', [30, 30, 30])))!.start).toBeNull();
    const elsewhere = await served('start elsewhere', [25, 25, 25], { grind: 13 });
    expect((await standing(elsewhere))!.start).toBeNull();
  });

  it('that is put up while the board is read stands there at the next look', async () => {
    const findAll = Station.findAll.bind(Station);
    let ids!: Furnished;
    const slow = jest.spyOn(Station, 'findAll').mockImplementationOnce(async (options) => {
      ids = await furnish(house, ' between');
      return findAll(options);
    });
    const { stations } = await board();
    slow.mockRestore();
    expect(stations.map(({ station }) => station.id)).not.toContain(ids.stationId);
    expect(await standing(ids)).toBeDefined();
  });

  it('is unknown before its first shot of the day', async () => {
    const ids = await served('yesterday', [29, 30, 31], { pulledAt: '2026-03-01T08:00:00.000Z' });
    expect((await standing(ids))!.state).toBe('unknown');
  });

  it('is being dialled in while a run sheet is open, whatever it pours', async () => {
    const ids = await furnish(house, ' open');
    await pull(ids, 12, 1);
    expect(await standing(ids)).toMatchObject({ state: 'dialling-in', openRunId: ids.runId, cardId: null });
  });

  today('is not judged by shots timed from another start', async () => {
    const ids = await served('clock', [24, 23, 24], { timer: 'first-drip' });
    expect(await standing(ids)).toMatchObject({ state: 'unknown', shots: [{}, {}, {}] });
  });

  today('is not judged by shots that were entered by mistake or never timed', async () => {
    const ids = await served('mistake', [29, 30, 31]);
    await pull(ids, 12, 0, { removedAt: new Date().toISOString() });
    await pull(ids, 12, 0, { timeSeconds: null });
    const row = (await standing(ids))!;
    expect(row.shots.map(({ timeSeconds }) => timeSeconds)).toEqual([29, 30, 31]);
    expect(row.state).toBe('dialled');
  });

  it('shows its last twelve shots', async () => {
    const times = Array.from({ length: 15 }, (_, i) => 27 + i / 10);
    const ids = await served('twelve', times);
    expect((await standing(ids))!.shots.map(({ timeSeconds }) => timeSeconds)).toEqual(times.slice(3));
  });

  it('counts the days of the bag in use, not of a finished one', async () => {
    const ids = await furnish(house, ' bag');
    const roastedOn = (days: number): string => dayjs().subtract(days, 'day').format('YYYY-MM-DD');
    const bag = { coffeeId: ids.coffeeId, weightGrams: 250 };
    await house.put(`bags/${v7()}`, { ...bag, roastedOn: roastedOn(20) }).expect(200);
    const finished = { ...bag, roastedOn: roastedOn(3), finishedAt: new Date().toISOString() };
    await house.put(`bags/${v7()}`, finished).expect(200);
    expect((await standing(ids))!.ageDays).toBe(20);
  });

  it('that is put away leaves the board', async () => {
    const ids = await furnish(house, ' retired');
    const station = dtoOf(await house.get(`stations/${ids.stationId}`));
    await house.put(`stations/${ids.stationId}`, { ...station, retiredAt: new Date().toISOString() }).expect(200);
    expect(await standing(ids)).toBeUndefined();
  });
});

describe('the day', () => {
  today('counts every gram: doses, and the purge where the grind was changed', async () => {
    const before = await board();
    const ids = await served('grams', []);
    await pull(ids, 24, 3, { doseGrams: 18, grind: 12 });
    await pull(ids, 27, 2, { doseGrams: 18, grind: 11.5 });
    await pull(ids, 29, 1, { doseGrams: 18, grind: 11.5 });
    const after = await board();
    expect(after.shotsToday - before.shotsToday).toBe(3);
    expect(after.gramsToday - before.gramsToday).toBe(3 * 18 + 12);
  });

  today('counts no purge that was not done', async () => {
    const before = await board();
    const ids = await served('unpurged', []);
    await pull(ids, 24, 2, { doseGrams: 18, grind: 12 });
    await pull(ids, 27, 1, { doseGrams: 18, grind: 11, purged: false });
    expect((await board()).gramsToday - before.gramsToday).toBe(36);
  });
});
