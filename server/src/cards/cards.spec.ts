import { v7 } from 'uuid';
import { beginAgain, cardBody, furnish, testHouse, RECIPE, shotBody } from '../testing/testHouse';

const house = testHouse();

interface CardRow {
  id: string;
  name: string;
  latest: { version: number; recipe: { grind: number } };
  versions: { version: number; setBy: string; recipe: { grind: number } }[];
}
const keep = (runId: string, body: object) => house.put(`runs/${runId}/card`, body);
const pathsOf = (body: unknown): string[] => (body as { errors: { path: string }[] }).errors.map(({ path }) => path);

/** A gram a second for half a minute. */
function flight() {
  const rows = Array.from({ length: 31 }, (_, second) => [second, second]);
  return { columns: ['seconds', 'grams'], rows, marks: [{ kind: 'pump-on', seconds: 0 }] };
}

describe('a card', () => {
  it('tells its whole story, newest first', async () => {
    let ids = await furnish(house, ' story');
    const cardId = v7();
    for (const [grind, setBy] of [
      [12, 'Oda'],
      [11.5, 'Ines'],
      [11, 'Oda'],
    ] as const) {
      await keep(ids.runId, cardBody({ cardId, setBy, recipe: { ...RECIPE, grind } })).expect(200);
      ids = await beginAgain(house, ids);
    }
    const card = await house.get<CardRow>(`cards/${cardId}`);
    expect(card.versions.map(({ version, setBy, recipe }) => [version, setBy, recipe.grind])).toEqual([
      [3, 'Oda', 11],
      [2, 'Ines', 11.5],
      [1, 'Oda', 12],
    ]);
    expect(card.latest).toMatchObject({ version: 3 });
    const { items } = await house.get<{ items: CardRow[] }>('cards', { stationId: ids.stationId });
    expect(items.map(({ latest }) => latest.recipe.grind)).toEqual([11]);
  });

  it('takes the name it was given last', async () => {
    const ids = await furnish(house, ' name');
    const cardId = v7();
    await keep(ids.runId, cardBody({ cardId, name: 'House' })).expect(200);
    const second = await beginAgain(house, ids);
    await keep(second.runId, cardBody({ cardId, name: 'House, in milk', purpose: 'milk' })).expect(200);
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ name: 'House, in milk', purpose: 'milk' });
  });

  it('moves the station to its grind, its recipe and its method', async () => {
    const ids = await furnish(house, ' station');
    await keep(ids.runId, cardBody({ recipe: { ...RECIPE, grind: 9.5, temperatureC: null } })).expect(200);
    expect(await house.get(`stations/${ids.stationId}`)).toMatchObject({
      grind: 9.5,
      methodId: 'balance-walk',
      target: { doseGrams: 18, yieldGrams: 37, temperatureC: null, balance: 0 },
    });
  });

  it('keeps the shot it was made from, whose flight then stands behind the next ones, and the flow of its valve', async () => {
    const ids = await furnish(house, ' flight');
    const [shotId, cardId] = [v7(), v7()];
    await house.put(`shots/${shotId}`, shotBody(ids, { trace: flight(), valveGrams: 55 })).expect(200);
    const recipe = { ...RECIPE, valveGrams: 55 };
    const elsewhere = await keep(ids.runId, cardBody({ shotId: v7(), recipe })).expect(422);
    expect(pathsOf(elsewhere.body)).toEqual(['shotId']);
    await keep(ids.runId, cardBody({ cardId, shotId, recipe })).expect(200);
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ latest: { shotId, recipe: { valveGrams: 55 } } });
    const board = await house.get<{ stations: { station: { id: string }; cards: { reference: number[] }[] }[] }>(
      'board',
    );
    const standing = board.stations.find(({ station }) => station.id === ids.stationId)!;
    expect(standing.cards[0]!.reference.at(-1)).toBeGreaterThan(29);
    const { runId } = await beginAgain(house, ids);
    const { reference } = await house.get<{ reference: object }>(`runs/${runId}/sheet`);
    expect(reference).toEqual({ line: standing.cards[0]!.reference, valveGrams: 55 });
  });

  it('is not written for a dial-in that does not exist', async () => {
    await keep(v7(), cardBody()).expect(404);
    await house.api.get(`/api/cards/${v7()}`).expect(404);
  });

  it('does not take a version that belongs to another dial-in', async () => {
    const [one, two] = [await furnish(house, ' v1'), await furnish(house, ' v2')];
    const body = cardBody();
    await keep(one.runId, body).expect(200);
    const { body: refused } = await keep(two.runId, { ...body, cardId: v7() }).expect(422);
    expect(pathsOf(refused)).toEqual(['versionId']);
    expect(await house.get(`runs/${two.runId}`)).toMatchObject({ status: 'open' });
  });

  it('is kept once when two tablets press at the same moment', async () => {
    const ids = await furnish(house, ' both');
    const bodies = [cardBody(), cardBody()];
    const answers = await Promise.all(bodies.map(async (body) => (await keep(ids.runId, body)).status));
    expect(answers.sort()).toEqual([200, 409]);
    const { total } = await house.get<{ total: number }>('cards', { stationId: ids.stationId });
    expect(total).toBe(1);
  });

  it('is refused with every field that is wrong, and nothing is half-kept', async () => {
    const ids = await furnish(house, ' wrong');
    const wrong = { ...RECIPE, doseGrams: -1, timer: 'egg', timeSeconds: { min: 33, max: 27 } };
    const { body } = await keep(ids.runId, cardBody({ name: '', recipe: wrong })).expect(400);
    expect(pathsOf(body)).toEqual(expect.arrayContaining(['name', 'recipe.doseGrams', 'recipe.timer']));
    expect(await house.get(`runs/${ids.runId}`)).toMatchObject({ status: 'open', lesson: null });
    const { total } = await house.get<{ total: number }>('cards', { stationId: ids.stationId });
    expect(total).toBe(0);
  });

  it('may be written without a single shot, and teaches nothing then', async () => {
    const ids = await furnish(house, ' blind');
    await keep(ids.runId, cardBody()).expect(200);
    expect(await house.get(`grinders/${ids.grinderId}`)).toMatchObject({ learnedSlope: null });
  });
});

describe('the list of cards', () => {
  it('is kept apart by coffee', async () => {
    const [one, two] = [await furnish(house, ' c1'), await furnish(house, ' c2')];
    for (const { runId } of [one, two]) await keep(runId, cardBody()).expect(200);
    const { items } = await house.get<{ items: { coffeeName: string }[] }>('cards', { coffeeId: two.coffeeId });
    expect(items.map(({ coffeeName }) => coffeeName)).toEqual(['Saltmarsh c2']);
  });

  it('shows what was last worked on first', async () => {
    const [one, two] = [await furnish(house, ' l1'), await furnish(house, ' l2')];
    const cardId = v7();
    await keep(one.runId, cardBody({ cardId })).expect(200);
    await keep(two.runId, cardBody()).expect(200);
    const touched = await beginAgain(house, one);
    await house.put(`shots/${v7()}`, shotBody(touched)).expect(200);
    await keep(touched.runId, cardBody({ cardId })).expect(200);
    const { items } = await house.get<{ items: CardRow[] }>('cards', { pageSize: 2 });
    expect(items[0]!.id).toBe(cardId);
  });
});
