import { v7 } from 'uuid';
import {
  beginAgain,
  cardBody,
  dtoOf,
  furnish,
  testHouse,
  RECIPE,
  shotBody,
  type Furnished,
} from '../testing/testHouse';

const house = testHouse();

interface Start {
  grind: number | null;
  sd: number | null;
  from: { coffeeName: string; grind: number }[];
}
const ask = (ids: Furnished, change: object = {}) => {
  const { grinderId, coffeeId, basketId } = ids;
  return house.get<Start>('start', {
    grinderId,
    coffeeId,
    basketId,
    doseGrams: 18,
    yieldGrams: 37,
    middleSeconds: 30,
    ...change,
  });
};
/** Keeps a recipe on the grinder of this station. */
async function keep(ids: Furnished, grind: number): Promise<void> {
  await house.put(`shots/${v7()}`, shotBody(ids, { grind, planned: { grind }, seen: [], timeSeconds: 30 })).expect(200);
  await house.put(`runs/${ids.runId}/card`, cardBody({ recipe: { ...RECIPE, grind } })).expect(200);
}
describe('the first setting of a coffee', () => {
  it('is nobody’s guess on a grinder that has kept nothing', async () => {
    expect(await ask(await furnish(house, ' blank'))).toEqual({ grind: null, sd: null, from: [] });
  });

  it('is what the same coffee had, and surer with every time it was kept', async () => {
    const ids = await furnish(house, ' same');
    await keep(ids, 12);
    const once = await ask(ids);
    expect(once).toMatchObject({ grind: 12, from: [{ coffeeName: 'Saltmarsh same', grind: 12 }] });
    await keep(await beginAgain(house, ids), 12);
    expect((await ask(ids)).sd!).toBeLessThan(once.sd!);
  });

  it('is less sure, and a little off, for a roast it never ground', async () => {
    const ids = await furnish(house, ' roast');
    await keep(ids, 12);
    const coffee = async (roast: string): Promise<string> => {
      const id = v7();
      await house.put(`coffees/${id}`, { name: `New ${roast}`, roast }).expect(200);
      return id;
    };
    const same = await ask(ids);
    const light = await ask(ids, { coffeeId: await coffee('light') });
    const medium = await ask(ids, { coffeeId: await coffee('medium') });
    expect(medium.sd!).toBeGreaterThan(same.sd!);
    expect(light.sd!).toBeGreaterThan(medium.sd!);
    // A lighter roast resists less: finer, which is lower on this scale.
    expect(light.grind!).toBeLessThan(medium.grind!);
  });

  it('moves with dose, yield and time the way the puck does', async () => {
    const ids = await furnish(house, ' moves');
    await keep(ids, 12);
    const { grind } = await ask(ids);
    const moved = async (change: object) => Math.sign((await ask(ids, change)).grind! - grind!);
    expect(await moved({ middleSeconds: 40 })).toBe(-1);
    expect(await moved({ middleSeconds: 24 })).toBe(1);
    expect(await moved({ doseGrams: 20 })).toBe(1);
    expect(await moved({ yieldGrams: 50 })).toBe(1);
  });

  it('counts the bed of another basket by its width', async () => {
    const ids = await furnish(house, ' width');
    await keep(ids, 12);
    const narrow = v7();
    const basket = { name: '18 g narrow', nominalGrams: 18, minGrams: 16, maxGrams: 20, diameterMm: 54 };
    await house.put(`baskets/${narrow}`, basket).expect(200);
    // A higher bed, coarser: higher on this scale.
    expect((await ask(ids, { basketId: narrow })).grind!).toBeGreaterThan((await ask(ids)).grind!);
  });

  it('turns the other way on a scale whose finer is higher', async () => {
    const ids = await furnish(house, ' higher');
    await keep(ids, 12);
    const grinder = dtoOf(await house.get(`grinders/${ids.grinderId}`));
    await house.put(`grinders/${ids.grinderId}`, { ...grinder, finer: 'higher' }).expect(200);
    expect((await ask(ids, { middleSeconds: 40 })).grind!).toBeGreaterThan(12);
  });

  it('does not ask another grinder', async () => {
    const [known, blank] = [await furnish(house, ' g1'), await furnish(house, ' g2')];
    await keep(known, 12);
    expect((await ask(blank)).grind).toBeNull();
    expect((await ask(blank, { coffeeId: known.coffeeId, basketId: known.basketId })).grind).toBeNull();
  });

  it('is where a dial-in begins whose setting nobody named, and stays with it', async () => {
    const ids = await furnish(house, ' begun');
    await keep(ids, 12);
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    const begin = (startGrind: number | null) => ({
      ...run,
      startGrind,
      status: 'open',
      endedAt: null,
      revision: null,
    });
    const [unnamed, named] = [v7(), v7()];
    await house.put(`runs/${unnamed}`, begin(null)).expect(200);
    await house.put(`runs/${named}`, begin(14)).expect(200);
    expect(await house.get(`runs/${named}`)).toMatchObject({ suggestedStart: null });
    // Wanted a gram shorter than the kept cup: a little finer.
    const suggestedStart = { grind: 11.5, from: [{ coffeeName: 'Saltmarsh begun', grind: 12 }] };
    expect(await house.get(`runs/${unnamed}`)).toMatchObject({ startGrind: null, suggestedStart });
    await keep(await beginAgain(house, ids), 9);
    await house.put(`runs/${unnamed}`, begin(null)).expect(200);
    const stored = await house.get<object>(`runs/${unnamed}`);
    await house.put(`runs/${unnamed}`, { ...dtoOf(stored), goal: 'sweet fruit' }).expect(200);
    expect(await house.get(`runs/${unnamed}`)).toMatchObject({ goal: 'sweet fruit', suggestedStart });
  });

  it('keeps how surely the last shots gave it, and takes no spread of nothing', async () => {
    const ids = await furnish(house, ' spread');
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    const runId = v7();
    const begun = { ...run, startGrind: 13.5, startSd: 0.6, revision: null };
    const refused = await house.put(`runs/${runId}`, { ...begun, startGrind: null }).expect(422);
    expect(refused.body).toMatchObject({ errors: [{ path: 'startSd' }] });
    await house.put(`runs/${runId}`, begun).expect(200);
    expect(await house.get(`runs/${runId}`)).toMatchObject({ startGrind: 13.5, startSd: 0.6, suggestedStart: null });
  });

  it.each(['grinderId', 'coffeeId', 'basketId'])('names a missing %s as ever', async (field) => {
    const ids = await furnish(house, ` missing ${field}`);
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    const begun = { ...run, startGrind: null, revision: null, [field]: v7() };
    const { body } = await house.put(`runs/${v7()}`, begun).expect(422);
    expect(body).toMatchObject({ errors: [{ path: field }] });
  });

  it('is nothing where a dial-in begins on a grinder that has kept nothing', async () => {
    const ids = await furnish(house, ' unbegun');
    const run = dtoOf(await house.get(`runs/${ids.runId}`));
    const runId = v7();
    await house.put(`runs/${runId}`, { ...run, startGrind: null, revision: null }).expect(200);
    expect(await house.get(`runs/${runId}`)).toMatchObject({ startGrind: null, suggestedStart: null });
  });

  it('stays on the scale, however far the wish', async () => {
    const ids = await furnish(house, ' scale');
    await keep(ids, 1);
    expect((await ask(ids, { middleSeconds: 200 })).grind).toBe(0);
  });
});
