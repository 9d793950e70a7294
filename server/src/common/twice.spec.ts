import { v7 } from 'uuid';
import { furnish, newIds, setupBody, shotBody, testHouse } from '../testing/testHouse';

const house = testHouse();
const AT_ONCE = 20;

const statuses = async (path: string, body: object): Promise<number[]> =>
  Promise.all(Array.from({ length: AT_ONCE }, () => house.put(path, body).then(({ status }) => status)));

describe('sent twenty times at once', () => {
  it('a shot with its taste is stored once', async () => {
    const ids = await furnish(house, ' twice');
    const id = v7();
    const body = shotBody(ids, { tasting: { id: v7(), balance: -1, body: 0 } });
    expect(new Set(await statuses(`shots/${id}`, body))).toEqual(new Set([200]));
    const { shots } = await house.get<{ shots: { id: string; revision: number; tastings: object[] }[] }>(
      `runs/${ids.runId}/sheet`,
    );
    expect(shots).toMatchObject([{ id, revision: 1, tastings: [{ balance: -1, revision: 1 }] }]);
  });

  it('a set-up makes one station', async () => {
    const ids = newIds();
    expect(new Set(await statuses(`setup/${ids.stationId}`, setupBody(ids, ' once')))).toEqual(new Set([200]));
    const { total } = await house.get<{ total: number }>('runs', { stationId: ids.stationId });
    expect(total).toBe(1);
  });

  it('a name that is taken is still refused', async () => {
    await furnish(house, ' taken');
    const ids = newIds();
    const { body } = await house.put(`setup/${ids.stationId}`, setupBody(ids, ' taken')).expect(422);
    expect(body).toMatchObject({ errors: [{ path: 'name' }] });
  });
});

describe('a tasting', () => {
  it('is not overwritten by an older one sent again with its shot, and keeps what it said before', async () => {
    const ids = await furnish(house, ' older');
    const [shotId, tastingId] = [v7(), v7()];
    const body = shotBody(ids, { tasting: { id: tastingId, balance: -1, body: 0 } });
    await house.put(`shots/${shotId}`, body).expect(200);
    await house.put(`tastings/${tastingId}`, { shotId, balance: 1, body: 0, revision: 1 }).expect(200);
    await house.put(`shots/${shotId}`, body).expect(409);
    expect(await house.get(`tastings/${tastingId}`)).toMatchObject({ balance: 1, revision: 2 });
    const [edits] = await house.sequelize.query(`SELECT "revision", "before" ->> 'balance' AS "balance"
      FROM tasting_edits WHERE "tastingId" = '${tastingId}'`);
    expect(edits).toEqual([{ revision: 1, balance: '-1' }]);
  });
});
