import { v7 } from 'uuid';
import { cardBody, furnish, testHouse } from '../testing/testHouse';

const house = testHouse();
const DRINK = {
  ...{ name: 'White', cardVersion: 1, share: 1, cupMl: 180, milkMl: 110, milk: 'oat', foam: 'thin', waterMl: 0 },
  pouring: 'coffee-first',
};

async function kept(tag: string): Promise<{ cardId: string; machineId: string }> {
  const ids = await furnish(house, ` ${tag}`);
  const card = cardBody();
  await house.put(`runs/${ids.runId}/card`, card).expect(200);
  return { cardId: card.cardId, machineId: ids.machineId };
}
const pathsOf = ({ body }: { body: { errors: { path: string }[] } }) => body.errors.map(({ path }) => path);

describe('what hangs on a card', () => {
  it('is kept with the version it was brought in line with', async () => {
    const { cardId, machineId } = await kept('hung');
    const [drink, button] = [v7(), v7()];
    await house.put(`drinks/${drink}`, { ...DRINK, cardId }).expect(200);
    const made = { name: 'Two cups', cardId, cardVersion: 1, share: 1, machineId, kind: 'volumetric' };
    await house.put(`machine-buttons/${button}`, made).expect(200);
    await house.put(`cards/${cardId}/found-time`, { versionId: v7(), seconds: 28, note: 'sweeter' }).expect(200);
    expect(await house.get(`drinks/${drink}`)).toMatchObject({ cardVersion: 1, milk: 'oat' });
    await house.put(`drinks/${drink}`, { ...DRINK, cardId, cardVersion: 2, revision: 1 }).expect(200);
    expect(await house.get(`drinks/${drink}`)).toMatchObject({ cardVersion: 2 });
  });

  it('counts the card on the wall among it', async () => {
    const { cardId } = await kept('wall');
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ printedVersion: null });
    await house.put(`cards/${cardId}/printed`, { version: 1 }).expect(200);
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ printedVersion: 1 });
    expect(pathsOf(await house.put(`cards/${cardId}/printed`, { version: 4 }).expect(422))).toEqual(['version']);
    await house.put(`cards/${v7()}/printed`, { version: 1 }).expect(404);
  });

  it('is refused where it cannot be', async () => {
    const { cardId, machineId } = await kept('refused');
    const tooNew = await house.put(`drinks/${v7()}`, { ...DRINK, cardId, cardVersion: 7 }).expect(422);
    expect(pathsOf(tooNew)).toEqual(['cardVersion']);
    const odd = await house.put(`drinks/${v7()}`, { ...DRINK, cardId, cupMl: 2, milk: 'moon', share: 9 }).expect(400);
    expect(pathsOf(odd).sort()).toEqual(['cupMl', 'milk', 'share']);
    await house.put(`drinks/${v7()}`, { ...DRINK, cardId: v7() }).expect(422);
    const button = { name: 'One', cardId, cardVersion: 1, share: 1, machineId, kind: 'magic' };
    expect(pathsOf(await house.put(`machine-buttons/${v7()}`, button).expect(400))).toEqual(['kind']);
  });
});
