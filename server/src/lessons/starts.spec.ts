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
  const { grinderId, coffeeId } = ids;
  return house.get<Start>('start', {
    grinderId,
    coffeeId,
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
    expect((await ask(blank, { coffeeId: known.coffeeId })).grind).toBeNull();
  });

  it('stays on the scale, however far the wish', async () => {
    const ids = await furnish(house, ' scale');
    await keep(ids, 1);
    expect((await ask(ids, { middleSeconds: 200 })).grind).toBe(0);
  });
});
