import { METHODS } from '@olvet/core';
import { v7 } from 'uuid';
import { cardBody, dtoOf, furnish, testHouse, shotBody, type Furnished } from '../testing/testHouse';

const house = testHouse();

interface RunRow {
  id: string;
  status: string;
  revision: number;
  lesson: object | null;
  endedAt: string | null;
}
const runOf = (id: string) => house.get<RunRow>(`runs/${id}`);
const change = async (id: string, fields: object): Promise<{ status: number; body: unknown }> =>
  house.put(`runs/${id}`, { ...dtoOf(await runOf(id)), ...fields });
const pull = (ids: Furnished, fields: object = {}, id = v7()) => house.put(`shots/${id}`, shotBody(ids, fields));

describe('a dial-in', () => {
  it('is called done by writing its card, and by nothing else', async () => {
    const ids = await furnish(house, ' done');
    const refused = await change(ids.runId, { status: 'kept' });
    expect(refused).toMatchObject({ status: 422 });
    expect(refused.body).toMatchObject({ errors: [{ path: 'status', message: expect.stringMatching(/card/) }] });
    expect(await runOf(ids.runId)).toMatchObject({ status: 'open', lesson: null });
    await house.put(`runs/${ids.runId}/card`, cardBody()).expect(200);
    expect(await runOf(ids.runId)).toMatchObject({ status: 'kept', endedAt: expect.any(String) });
  });

  it('cannot begin as one that is done', async () => {
    const ids = await furnish(house, ' begin');
    const begun = { ...dtoOf(await runOf(ids.runId)), status: 'kept', revision: undefined };
    await house.put(`runs/${v7()}`, begun).expect(422);
  });

  it('still takes a note when it is done', async () => {
    const ids = await furnish(house, ' note');
    await house.put(`runs/${ids.runId}/card`, cardBody()).expect(200);
    expect(await change(ids.runId, { goal: 'sweet fruit' })).toMatchObject({ status: 200 });
    expect(await runOf(ids.runId)).toMatchObject({ status: 'kept', goal: 'sweet fruit' });
  });

  it('is not opened again once its card is written', async () => {
    const ids = await furnish(house, ' reopen');
    await house.put(`runs/${ids.runId}/card`, cardBody()).expect(200);
    for (const status of ['open', 'given-up']) {
      expect(await change(ids.runId, { status })).toMatchObject({ status: 422 });
    }
    expect(await runOf(ids.runId)).toMatchObject({ status: 'kept' });
  });

  it('that is given up keeps what it taught', async () => {
    const ids = await furnish(house, ' given up');
    await pull(ids, { timeSeconds: 21, seen: [] }).expect(200);
    await pull(ids, { grind: 12, planned: { grind: 12 }, timeSeconds: 27, seen: [] }).expect(200);
    await change(ids.runId, { status: 'given-up', endedAt: '2026-03-01T07:00:00.000Z' });
    expect(await runOf(ids.runId)).toMatchObject({ status: 'given-up', lesson: { timedShots: 2 } });
    const grinder = await house.get(`grinders/${ids.grinderId}`);
    expect(grinder).toMatchObject({ learnedSlope: { shots: 2 } });
  });

  it('takes no more shots once it is closed, but corrections of those it has', async () => {
    const ids = await furnish(house, ' closed');
    const id = v7();
    await pull(ids, {}, id).expect(200);
    await change(ids.runId, { status: 'given-up' });
    const { body } = await pull(ids).expect(409);
    expect(body).toMatchObject({ errors: [{ path: 'runId', message: expect.stringMatching(/closed dial-in/) }] });
    await pull(ids, { timeSeconds: 30, revision: 1 }, id).expect(200);
    await pull(ids, { runId: null }).expect(200);
  });

  it('changes its method midway and keeps its shots', async () => {
    const ids = await furnish(house, ' method');
    await pull(ids).expect(200);
    await change(ids.runId, { methodId: 'one-lever' });
    expect(await house.get(`runs/${ids.runId}/sheet`)).toMatchObject({
      run: { methodId: 'one-lever', revision: 2 },
      shots: [{ timeSeconds: 21.5 }],
    });
  });
});

describe('a run sheet', () => {
  it('lists its shots as they were pulled, not as they were sent', async () => {
    const ids = await furnish(house, ' order');
    for (const minute of [50, 44, 47]) {
      await pull(ids, { pulledAt: `2026-03-01T06:${minute}:00.000Z`, timeSeconds: minute }).expect(200);
    }
    const { shots } = await house.get<{ shots: { timeSeconds: number }[] }>(`runs/${ids.runId}/sheet`);
    expect(shots.map(({ timeSeconds }) => timeSeconds)).toEqual([44, 47, 50]);
  });

  it('counts the days and the price of the bag that was open when it began', async () => {
    const ids = await furnish(house, ' bag');
    const bag = { coffeeId: ids.coffeeId, weightGrams: 500, priceCents: 1500 };
    await house.put(`bags/${v7()}`, { ...bag, roastedOn: '2026-02-15' }).expect(200);
    await house.put(`bags/${v7()}`, { ...bag, roastedOn: '2026-02-01', priceCents: 900 }).expect(200);
    // Roasted after this dial-in began: not the coffee in its hopper.
    await house.put(`bags/${v7()}`, { ...bag, roastedOn: '2026-03-05', priceCents: 4000 }).expect(200);
    expect(await house.get(`runs/${ids.runId}/sheet`)).toMatchObject({ ageDays: 14, centsPerGram: 3 });
  });

  it('says nothing of a bag nobody opened', async () => {
    const ids = await furnish(house, ' no bag');
    expect(await house.get(`runs/${ids.runId}/sheet`)).toMatchObject({ ageDays: null, centsPerGram: null, shots: [] });
  });
});

describe('the list of dial-ins', () => {
  it('is newest first, paged, and kept apart by station and coffee', async () => {
    const ids = await furnish(house, ' list');
    const run = { ...dtoOf(await runOf(ids.runId)), revision: undefined };
    for (const day of ['02', '04', '03']) {
      await house.put(`runs/${v7()}`, { ...run, startedAt: `2026-03-${day}T06:00:00.000Z` }).expect(200);
    }
    const page = (query: object) =>
      house.get<{ items: { startedAt: string }[]; total: number }>('runs', { stationId: ids.stationId, ...query });
    const days = async (query: object) => (await page(query)).items.map(({ startedAt }) => startedAt.slice(5, 10));
    expect(await days({})).toEqual(['03-04', '03-03', '03-02', '03-01']);
    expect(await days({ pageSize: 3, page: 2 })).toEqual(['03-01']);
    expect(await days({ coffeeId: v7() })).toEqual([]);
    expect((await page({ pageSize: 1, coffeeId: ids.coffeeId })).total).toBe(4);
  });

  it('names what each refers to, the shop’s own methods too', async () => {
    const ids = await furnish(house, ' names');
    const method = { ...METHODS[0]!, name: 'Harbour way' };
    const methodId = v7();
    await house.put(`methods/${methodId}`, { basedOn: 'one-lever', method }).expect(200);
    const begun = { ...dtoOf(await runOf(ids.runId)), methodId, startedAt: new Date().toISOString() };
    await house.put(`runs/${v7()}`, { ...begun, revision: undefined }).expect(200);
    const { items } = await house.get<{ items: object[] }>('runs', { stationId: ids.stationId });
    const names = { coffeeName: 'Saltmarsh names', stationName: 'Left bar names' };
    expect(items).toMatchObject([
      { ...names, methodName: 'Harbour way' },
      { ...names, methodName: 'Balance walk' },
    ]);
  });

  it.each(['page=0', 'page=x', 'pageSize=100000', 'stationId=left'])('refuses %s by name', async (query) => {
    const { body } = await house.api.get(`/api/runs?${query}`).expect(400);
    expect((body as { errors: { path: string }[] }).errors[0]!.path).toBe(query.split('=')[0]);
  });
});
