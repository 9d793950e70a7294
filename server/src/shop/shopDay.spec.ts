import { furnish, shotBody, testHouse } from '../testing/testHouse';
import { v7 } from 'uuid';

let now = '2026-03-02T02:00:00Z';
const house = testHouse({ now: () => Date.parse(now) });

interface ShopRow {
  revision: number;
}

async function putShop(change: object) {
  const { revision } = await house.get<ShopRow>('shop');
  const shop = { name: 'Kelp Street', currency: 'EUR', temperatureUnit: 'C', timeZone: 'UTC', firstHour: 4 };
  return house.put('shop', { ...shop, ...change, revision });
}

const shotsToday = async () => (await house.get<{ shotsToday: number }>('board')).shotsToday;

describe('a shop’s day', () => {
  it('holds the shots since its first hour, by its own clock', async () => {
    const ids = await furnish(house);
    await house.put(`shots/${v7()}`, shotBody(ids, { pulledAt: '2026-03-01T22:00:00Z' })).expect(200);
    expect((await putShop({})).status).toBe(200);
    expect(await shotsToday()).toBe(1);
    now = '2026-03-02T04:30:00Z';
    expect(await shotsToday()).toBe(0);
    expect((await putShop({ timeZone: 'America/New_York' })).status).toBe(200);
    expect(await shotsToday()).toBe(1);
  });

  it.each([
    ['timeZone', 'Mars/Base'],
    ['timeZone', null],
    ['firstHour', 12],
    ['firstHour', 3.5],
    ['currency', 'ABC'],
    ['currency', 'eur'],
    ['name', ' – '],
  ])('refuses %s %p', async (path, value) => {
    const refused = await putShop({ [path]: value });
    expect(refused.status).toBe(400);
    expect(refused.body.errors).toMatchObject([{ path }]);
  });
});
