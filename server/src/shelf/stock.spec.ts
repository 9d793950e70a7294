import dayjs from 'dayjs';
import { v7 } from 'uuid';
import { dtoOf, furnish, testHouse, shotBody, type Furnished } from '../testing/testHouse';

const house = testHouse();

const at = (daysAgo: number): string => dayjs().subtract(daysAgo, 'day').toISOString();
const day = (daysAgo: number): string => at(daysAgo).slice(0, 10);
const pull = (ids: Furnished, daysAgo: number, change: object = {}) =>
  house.put(`shots/${v7()}`, shotBody(ids, { pulledAt: at(daysAgo), doseGrams: 18, ...change })).expect(200);

async function bag(ids: Furnished, change: object): Promise<string> {
  const id = v7();
  await house
    .put(`bags/${id}`, { coffeeId: ids.coffeeId, weightGrams: 1000, roastedOn: day(40), ...change })
    .expect(200);
  return id;
}

interface Stock {
  bags: { bagId: string; leftGrams: number }[];
  pace: { coffeeId: string; gramsPerDay: number; shotsPerDay: number }[];
}
const left = async (bagId: string): Promise<number | undefined> =>
  (await house.get<Stock>('stock')).bags.find((row) => row.bagId === bagId)?.leftGrams;
const pace = async ({ coffeeId }: Furnished) =>
  (await house.get<Stock>('stock')).pace.find((row) => row.coffeeId === coffeeId);

describe('what is left in a bag', () => {
  it('is all of it until somebody opens it', async () => {
    const ids = await furnish(house, ' closed bag');
    const id = await bag(ids, {});
    await pull(ids, 1);
    expect(await left(id)).toBe(1000);
  });

  it('counts a shot against the bag that was open then', async () => {
    const ids = await furnish(house, ' two bags');
    const first = await bag(ids, { openedOn: day(10) });
    const second = await bag(ids, { openedOn: day(5) });
    for (const daysAgo of [9, 8, 2]) await pull(ids, daysAgo);
    expect([await left(first), await left(second)]).toEqual([1000 - 36, 1000 - 18]);
  });

  it('leaves shots of other coffees, and those entered by mistake, out of it', async () => {
    const [mine, other] = [await furnish(house, ' mine'), await furnish(house, ' other')];
    const id = await bag(mine, { openedOn: day(5) });
    await pull(other, 2);
    await pull(mine, 2, { removedAt: at(1) });
    expect(await left(id)).toBe(1000);
    await pull(mine, 2);
    expect(await left(id)).toBe(982);
  });

  it('is never less than nothing', async () => {
    const ids = await furnish(house, ' sample');
    const id = await bag(ids, { weightGrams: 50, openedOn: day(5) });
    for (let i = 0; i < 4; i += 1) await pull(ids, 2);
    expect(await left(id)).toBe(0);
  });

  it('is nobody’s business once the bag is finished', async () => {
    const ids = await furnish(house, ' finished');
    const id = await bag(ids, { openedOn: day(5), finishedAt: at(1) });
    expect(await left(id)).toBeUndefined();
  });

  it('follows the coffee of the dial-in, not the one the station pours now', async () => {
    const ids = await furnish(house, ' moved');
    const id = await bag(ids, { openedOn: day(5) });
    await pull(ids, 2);
    const other = v7();
    await house.put(`coffees/${other}`, { name: 'Moved on', roast: 'dark' }).expect(200);
    const station = dtoOf(await house.get(`stations/${ids.stationId}`));
    await house.put(`stations/${ids.stationId}`, { ...station, coffeeId: other }).expect(200);
    await pull(ids, 1, { runId: null });
    expect(await left(id)).toBe(982);
  });
});

describe('the pace of a coffee', () => {
  it('is that of the last two weeks', async () => {
    const ids = await furnish(house, ' pace');
    await pull(ids, 20);
    expect(await pace(ids)).toBeUndefined();
    for (const daysAgo of [13, 6, 1]) await pull(ids, daysAgo);
    expect(await pace(ids)).toMatchObject({
      gramsPerDay: expect.closeTo(54 / 14),
      shotsPerDay: expect.closeTo(3 / 14),
    });
  });
});
