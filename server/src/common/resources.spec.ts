import { v7 } from 'uuid';
import { furnish, GRINDER, newIds, testHouse, setupBody, shotBody, type TestHouse } from '../testing/testHouse';

const house = testHouse();

const put: TestHouse['put'] = (path, body) => house.put(path, body);

describe('a put', () => {
  it('makes the row once, however often it is sent', async () => {
    const id = v7();
    const first = await put(`grinders/${id}`, { ...GRINDER, name: 'Once' }).expect(200);
    const again = await put(`grinders/${id}`, { ...GRINDER, name: 'Once' }).expect(200);
    expect(again.body).toEqual(first.body);
    expect(first.body).toMatchObject({ id, revision: 1, name: 'Once' });
  });

  it('survives being sent twice at the same moment', async () => {
    const id = v7();
    const both = await Promise.all([1, 2].map(() => put(`grinders/${id}`, { ...GRINDER, name: 'Twice' })));
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
  });

  it('refuses to overwrite what its author has not seen, and leaves the row alone', async () => {
    const id = v7();
    await put(`grinders/${id}`, { ...GRINDER, name: 'Left tablet' }).expect(200);
    await put(`grinders/${id}`, { ...GRINDER, name: 'Right tablet', revision: 1 }).expect(200);
    const late = await put(`grinders/${id}`, { ...GRINDER, name: 'Too late', revision: 1 }).expect(409);
    expect(late.type).toBe('application/problem+json');
    expect(late.body.errors).toEqual([{ path: 'revision', message: expect.stringContaining('now 2') }]);
    const kept = await house.api.get(`/api/grinders/${id}`).expect(200);
    expect(kept.body).toMatchObject({ name: 'Right tablet', revision: 2 });
  });

  it('names the field when a name is taken or a reference leads nowhere', async () => {
    await put(`baskets/${v7()}`, { name: 'Double', nominalGrams: 18, minGrams: 16, maxGrams: 20 }).expect(200);
    const taken = await put(`baskets/${v7()}`, { name: 'Double', nominalGrams: 20, minGrams: 18, maxGrams: 22 }).expect(
      422,
    );
    expect(taken.body.errors[0].path).toBe('name');
    const nowhere = await put(`bags/${v7()}`, { coffeeId: v7(), weightGrams: 250 }).expect(422);
    expect(nowhere.body.errors[0]).toEqual({ path: 'coffeeId', message: 'there is nothing with this id in this shop' });
  });

  it('refuses days that cannot be right', async () => {
    const { coffeeId } = await furnish(house, ' days');
    const future = await put(`bags/${v7()}`, { coffeeId, weightGrams: 250, roastedOn: '2099-01-01' }).expect(400);
    expect(future.body.errors[0].path).toBe('roastedOn');
    const early = await put(`bags/${v7()}`, {
      coffeeId,
      weightGrams: 250,
      roastedOn: '2026-02-10',
      openedOn: '2026-02-01',
    }).expect(422);
    expect(early.body.errors[0].path).toBe('openedOn');
  });
});

describe('hostile input', () => {
  it.each([
    [{ min: 'zero' }, 'min', 'must be a number'],
    [{ max: 1e9 }, 'max', 'must be between -1000 and 10000'],
    [{ max: -5 }, 'max', 'must be above the lower end of the scale'],
    [{ min: 0, max: 0.0005, step: 0 }, 'max', 'must be above the lower end of the scale'],
    [{ step: 900 }, 'step', 'must not be larger than the whole scale'],
    [{ step: 1e-9 }, 'step', 'must be at least 0.001'],
    [{ finer: 'sideways' }, 'finer', 'must be one of lower, higher'],
    [{ name: '' }, 'name', 'must not be empty'],
    [{ name: 'zero\u0000byte' }, 'name', 'must be plain text'],
    [{ name: { toString: 1 } }, 'name', 'must be text'],
    [{ shopId: v7() }, 'shopId', 'is not a field here'],
    [{ learnedSlope: { mean: 1 } }, 'learnedSlope', 'is not a field here'],
    [{ revision: -1 }, 'revision', 'must be between 0 and 1000000000'],
  ])('%j', async (change, path, message) => {
    const id = v7();
    const answer = await put(`grinders/${id}`, { ...GRINDER, name: 'Hostile', ...change }).expect(400);
    expect(answer.body.errors).toContainEqual({ path, message });
    await house.api.get(`/api/grinders/${id}`).expect(404);
  });

  it('answers broken JSON, NaN, arrays, nothing, and 10 MB without ever failing itself', async () => {
    const raw = (body: string) =>
      house.api.put(`/api/grinders/${v7()}`).set('content-type', 'application/json').send(body);
    for (const body of ['{"name":', '{"min":NaN}', '[]', '[{}]', 'null', '1', '"x"', '']) {
      const { status, body: problem } = await raw(body);
      expect(status).toBe(400);
      expect(problem.detail).toBeTruthy();
    }
    await raw(`{"name":"${'x'.repeat(10_000_000)}"}`).expect(413);
  });

  it('answers ids that are none, or unknown, or another kind’s', async () => {
    await house.api.get('/api/grinders/1').expect(400);
    await house.api.get(`/api/grinders/${v7()}`).expect(404);
    await house.api.get(`/api/runs/${v7()}/sheet`).expect(404);
    await house.api.get('/api/nothing-here').expect(404);
    await house.api.get('/api/shots?pageSize=100000').expect(400);
    await house.api.get('/api/shots?page=0').expect(400);
    await house.api.get('/api/shots?unknown=1').expect(400);
    const ids = newIds();
    const body = setupBody(ids, ' foreign');
    // A coffee's id where a grinder's belongs.
    const wrong = { ...body, station: { ...body.station, grinderId: ids.coffeeId }, grinder: null };
    const answer = await house.api.put(`/api/setup/${ids.stationId}`).send(wrong).expect(422);
    expect(answer.body.errors[0].path).toBe('grinderId');
  });
});

describe('setting up a station', () => {
  it('makes all of it or nothing', async () => {
    const ids = newIds();
    const body = setupBody(ids, ' half');
    const bad = { ...body, run: { ...body.run, coffeeId: v7() } };
    await house.api.put(`/api/setup/${ids.stationId}`).send(bad).expect(422);
    for (const path of [`grinders/${ids.grinderId}`, `coffees/${ids.coffeeId}`, `stations/${ids.stationId}`]) {
      await house.api.get(`/api/${path}`).expect(404);
    }
    await house.api.put(`/api/setup/${ids.stationId}`).send(body).expect(200);
    await house.api.put(`/api/setup/${ids.stationId}`).send(body).expect(200);
    const { body: sheet } = await house.api.get(`/api/runs/${ids.runId}/sheet`).expect(200);
    expect(sheet).toMatchObject({ run: { status: 'open' }, grinder: { name: 'Lefty half' }, shots: [] });
  });

  it('points at nested fields by their path', async () => {
    const ids = newIds();
    const body = setupBody(ids, ' nested');
    const target = { ...body.run.target, timeSeconds: { min: 30, max: 20 } };
    const answer = await house.api
      .put(`/api/setup/${ids.stationId}`)
      .send({ ...body, run: { ...body.run, target } })
      .expect(400);
    expect(answer.body.errors).toEqual([
      { path: 'run.target.timeSeconds.max', message: 'must be above the window’s beginning' },
    ]);
  });
});

describe('lists', () => {
  it('come in pages', async () => {
    const ids = await furnish(house, ' pages');
    for (let i = 0; i < 5; i += 1) {
      await put(`shots/${v7()}`, shotBody(ids, { pulledAt: `2026-03-01T07:0${i}:00.000Z` })).expect(200);
    }
    const { body } = await house.api.get(`/api/shots?runId=${ids.runId}&pageSize=2&page=2`).expect(200);
    expect(body).toMatchObject({ total: 5, page: 2, pageSize: 2 });
    expect(body.items.map((shot: { pulledAt: string }) => shot.pulledAt)).toEqual([
      '2026-03-01T07:02:00.000Z',
      '2026-03-01T07:01:00.000Z',
    ]);
  });

  it('come apart into what is in use and what is over', async () => {
    const ids = await furnish(house, ' apart');
    const [served, over] = [v7(), v7()];
    await put(`coffees/${served}`, { name: 'Apart served', roast: 'dark' }).expect(200);
    await put(`coffees/${over}`, { name: 'Apart over', roast: 'dark', retiredAt: '2026-03-02T06:00:00.000Z' }).expect(
      200,
    );
    await put(`bags/${v7()}`, { coffeeId: ids.coffeeId, weightGrams: 250, finishedAt: '2026-03-02T06:00:00.000Z' });
    const names = async (state: string) => {
      const { items } = await house.get<{ items: { id: string }[] }>('coffees', { state, pageSize: 200 });
      return items.map(({ id }) => id);
    };
    expect(await names('in-use')).toEqual(expect.arrayContaining([served, ids.coffeeId]));
    expect(await names('in-use')).not.toContain(over);
    expect(await names('over')).toEqual([over]);
    expect(await house.get('bags', { coffeeId: ids.coffeeId, state: 'in-use' })).toMatchObject({ total: 0 });
    expect(await house.get('bags', { coffeeId: ids.coffeeId, state: 'over' })).toMatchObject({ total: 1 });
    await house.api.get('/api/coffees?state=gone').expect(400);
  });
});
