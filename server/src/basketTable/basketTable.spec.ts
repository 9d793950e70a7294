import { v7 } from 'uuid';
import { cardBody, furnish, shotBody, testHouse, type Furnished } from '../testing/testHouse';
import type { BasketTableView } from './basketTable.dto';

const house = testHouse();
const pathsOf = ({ body }: { body: { errors: { path: string }[] } }) => body.errors.map(({ path }) => path);
const read = (coffeeId: string) => house.get<BasketTableView>('basket-table', { coffeeId });

/** A kept card, and a triple beside its basket. */
async function kept(tag: string): Promise<Furnished & { cardId: string; tripleId: string }> {
  const ids = await furnish(house, ` ${tag}`);
  const [card, tripleId] = [cardBody(), v7()];
  await house.put(`runs/${ids.runId}/card`, card).expect(200);
  await house.put(`baskets/${tripleId}`, { name: `Deep ${tag}`, nominalGrams: 21, minGrams: 19, maxGrams: 23 });
  return { ...ids, cardId: card.cardId, tripleId };
}
const cellsOf = ({ baskets }: BasketTableView, basketId: string) => baskets.find((each) => each.basketId === basketId)!;

describe('the basket table', () => {
  it('begins with the card itself, and gives every other basket its own time', async () => {
    const { coffeeId, cardId, basketId, tripleId } = await kept('plain');
    const table = await read(coffeeId);
    const { recipe } = (await house.get<{ latest: { recipe: object } }>(`cards/${cardId}`)).latest as {
      recipe: { grind: number; yieldGrams: number; timeSeconds: { min: number } };
    };
    expect(table.card).toMatchObject({ cardId, version: 1, grind: recipe.grind });
    const own = cellsOf(table, basketId);
    expect(own).toMatchObject({ isCard: true, size: 'double' });
    expect(own.cells[1]).toMatchObject({ length: 'normal', yieldGrams: recipe.yieldGrams, unitsFiner: 0 });
    const deep = cellsOf(table, tripleId);
    expect(deep).toMatchObject({ size: 'triple', shots: 0, isCard: false });
    expect(deep.cells[1]!.timeSeconds.min).toBeGreaterThan(recipe.timeSeconds.min);
  });

  it('is corrected by what was pulled in a basket', async () => {
    const { tripleId, ...ids } = await kept('pulled');
    const before = cellsOf(await read(ids.coffeeId), tripleId).cells[1]!;
    const runId = v7();
    const run = await house.get<{ target: object; methodId: string; startedAt: string }>(`runs/${ids.runId}`);
    const { target, methodId, startedAt } = run;
    const place = { stationId: ids.stationId, grinderId: ids.grinderId, machineId: ids.machineId };
    const body = { ...place, basketId: tripleId, coffeeId: ids.coffeeId, methodId, target, startedAt, status: 'open' };
    await house.put(`runs/${runId}`, body).expect(200);
    const { grind } = (await read(ids.coffeeId)).card!;
    const pulled = { doseGrams: before.doseGrams, yieldGrams: before.yieldGrams, timeSeconds: 60, grind };
    for (let i = 0; i < 3; i += 1) await house.put(`shots/${v7()}`, shotBody({ ...ids, runId }, pulled)).expect(200);
    const after = cellsOf(await read(ids.coffeeId), tripleId);
    expect(after.shots).toBe(3);
    expect(after.cells[1]!.timeSeconds.min).toBeGreaterThan(before.timeSeconds.min + 5);
  });

  it('keeps what the shop says itself until that is taken back', async () => {
    const { coffeeId, tripleId } = await kept('said');
    const before = cellsOf(await read(coffeeId), tripleId).cells[0]!;
    const row = { coffeeId, basketId: tripleId, length: 'short', doseGrams: 20, yieldGrams: 30 };
    const id = v7();
    await house.put(`basket-rows/${id}`, { ...row, timeSeconds: { min: 24, max: 28 } }).expect(200);
    expect(cellsOf(await read(coffeeId), tripleId).cells[0]).toMatchObject({
      ...{ doseGrams: 20, yieldGrams: 30, ratio: 1.5, timeSeconds: { min: 24, max: 28 }, saved: { id } },
    });
    const gone = { ...row, timeSeconds: { min: 24, max: 28 }, revision: 1, retiredAt: new Date().toISOString() };
    await house.put(`basket-rows/${id}`, gone).expect(200);
    expect(cellsOf(await read(coffeeId), tripleId).cells[0]).toEqual(before);
  });

  it('has nothing to begin with before a card, and refuses what a basket cannot take', async () => {
    const { coffeeId, basketId } = await furnish(house, ' bare');
    expect(await read(coffeeId)).toEqual({ card: null, baskets: [] });
    await house.api.get('/api/basket-table').query({ coffeeId: v7() }).expect(404);
    await house.api.get('/api/basket-table').query({ coffeeId: 'x' }).expect(400);
    const row = { coffeeId, basketId, length: 'short', yieldGrams: 30, timeSeconds: { min: 24, max: 28 } };
    expect(pathsOf(await house.put(`basket-rows/${v7()}`, { ...row, doseGrams: 45 }).expect(422))).toEqual([
      'doseGrams',
    ]);
    const upside = { ...row, doseGrams: 18, timeSeconds: { min: 30, max: 20 } };
    await house.put(`basket-rows/${v7()}`, upside).expect(400);
  });
});
