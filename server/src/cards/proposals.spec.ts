import { v7 } from 'uuid';
import { cardBody, furnish, RECIPE, shotBody, testHouse, type Furnished } from '../testing/testHouse';
import type { CardDetailView } from './card.dto';

const house = testHouse();
const pathsOf = ({ body }: { body: { errors: { path: string }[] } }) => body.errors.map(({ path }) => path);
const NOTE = { note: 'brighter' };

async function kept(tag: string): Promise<Furnished & { cardId: string; versionId: string }> {
  const ids = await furnish(house, ` ${tag}`);
  const { cardId, versionId, ...card } = cardBody();
  await house.put(`runs/${ids.runId}/card`, { ...card, cardId, versionId }).expect(200);
  return { ...ids, cardId, versionId };
}
const propose = (cardId: string, change: object, id = v7()) =>
  house.put(`cards/${cardId}/proposals/${id}`, { recipe: { ...RECIPE, ...change }, ...NOTE });
const answer = (id: string, body: object) => house.put(`card-proposals/${id}/answer`, body);

describe('a proposal', () => {
  it('changes nothing until it is taken, and then is the next version', async () => {
    const { cardId, stationId } = await kept('taken');
    const id = v7();
    await propose(
      cardId,
      { grind: 11, yieldGrams: 40, groupName: 'left', cups: 2, grindSeconds: 3.4, soakSeconds: 5 },
      id,
    )
      .set('Olvet-Person', 'Ines')
      .expect(200);
    await propose(cardId, { grind: 12 }, id).expect(200);
    const open = await house.get<CardDetailView>(`cards/${cardId}`);
    expect(open.latest.version).toBe(1);
    expect(open.proposals).toMatchObject([{ id, proposedBy: 'Ines', recipe: { grind: 11, cups: 2 }, answer: null }]);
    const versionId = v7();
    await answer(id, { answer: 'taken', versionId }).set('Olvet-Person', 'Oda').expect(200);
    await answer(id, { answer: 'taken', versionId }).expect(200);
    const taken = await house.get<CardDetailView>(`cards/${cardId}`);
    expect(taken).toMatchObject({ proposals: [], latest: { version: 2, setBy: 'Oda', found: null } });
    expect(taken.latest.note).toContain('Ines');
    // It aims at the new recipe; that the grinder was turned nobody has said.
    expect(await house.get(`stations/${stationId}`)).toMatchObject({ grind: RECIPE.grind, target: { yieldGrams: 40 } });
  });

  it('keeps the time it was found at where it is the same shot', async () => {
    const { cardId } = await kept('same');
    await house.put(`cards/${cardId}/found-time`, { versionId: v7(), seconds: 28, note: 'sweeter' }).expect(200);
    const id = v7();
    await propose(cardId, { groupName: 'right' }, id).expect(200);
    await answer(id, { answer: 'taken', versionId: v7() }).expect(200);
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ latest: { version: 3, found: { seconds: 28 } } });
  });

  it('is made current by somebody else, where there is somebody', async () => {
    const { cardId } = await kept('another');
    await house.put(`people/${v7()}`, { name: 'Oda' }).expect(200);
    await house.put(`people/${v7()}`, { name: 'Tomas' }).expect(200);
    const id = v7();
    await propose(cardId, { grind: 11 }, id).set('Olvet-Person', 'Oda').expect(200);
    const own = await answer(id, { answer: 'taken', versionId: v7() }).set('Olvet-Person', 'Oda').expect(422);
    expect(pathsOf(own)).toEqual(['answer']);
    await answer(id, { answer: 'withdrawn' }).set('Olvet-Person', 'Oda').expect(200);
    expect(pathsOf(await answer(id, { answer: 'taken', versionId: v7() }).expect(409))).toEqual(['answer']);
    expect(await house.get(`cards/${cardId}`)).toMatchObject({ proposals: [], latest: { version: 1 } });
  });

  it('is refused where it cannot be', async () => {
    const { cardId } = await kept('refused');
    expect(pathsOf(await propose(cardId, { grind: 900 }).expect(422))).toEqual(['recipe.grind']);
    expect(pathsOf(await propose(cardId, { cups: 3 }).expect(400))).toEqual(['recipe.cups']);
    await propose(v7(), {}).expect(404);
    await answer(v7(), { answer: 'declined' }).expect(404);
    const id = v7();
    await propose(cardId, {}, id).expect(200);
    expect(pathsOf(await answer(id, { answer: 'taken' }).expect(422))).toEqual(['versionId']);
  });
});

describe('whoever pulls next', () => {
  it('is told from which version on there is news', async () => {
    const { cardId, versionId, ...ids } = await kept('news');
    const last = (person: string) => house.get(`cards/${cardId}/last-pulled`, { person });
    expect(await last('Ines')).toEqual({ version: null, pulledAt: null });
    const shot = shotBody(ids, { kind: 'service', runId: null, cardVersionId: versionId, pulledBy: 'Ines' });
    await house.put(`shots/${v7()}`, shot).expect(200);
    await house.put(`cards/${cardId}/found-time`, { versionId: v7(), seconds: 28, note: 'sweeter' }).expect(200);
    expect(await last('Ines')).toMatchObject({ version: 1 });
    expect(await last('Oda')).toMatchObject({ version: null });
    await house.api.get(`/api/cards/${cardId}/last-pulled`).expect(400);
  });
});

describe('a card as a file', () => {
  it('is read by people as Markdown, by programs as JSON-LD', async () => {
    const { cardId } = await kept('file');
    const { text, headers } = await house.api.get(`/api/export/cards/${cardId}.md`).expect(200);
    expect(text).toContain('# Saltmarsh');
    expect(headers['content-type']).toContain('text/markdown');
    const recipe = await house.api.get(`/api/export/cards/${cardId}.jsonld`).responseType('blob').expect(200);
    expect(JSON.parse(String(recipe.body))).toMatchObject({
      '@type': 'Recipe',
      recipeIngredient: ['18 g Saltmarsh file'],
    });
    await house.api.get(`/api/export/cards/${v7()}.md`).expect(404);
    await house.api.get('/api/export/cards/nothing.txt').expect(404);
  });
});
