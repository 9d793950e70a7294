import { v7 } from 'uuid';
import { dtoOf, furnish, testHouse, shotBody, type Furnished } from '../testing/testHouse';

const house = testHouse();

interface PalateRow {
  person: string;
  balance: number;
  balanceSd: number;
  tastings: number;
  marks: { overall: { best: { mean: number } } | null; sweetness: null } | null;
}

/** Shots of one dial-in, each marked by a person who likes a cup best at `likes`. Gives the shots' ids. */
async function taste(ids: Furnished, person: string, likes: number, balances: readonly number[]): Promise<string[]> {
  const shotIds: string[] = [];
  for (const balance of balances) {
    const shotId = v7();
    shotIds.push(shotId);
    await house.put(`shots/${shotId}`, shotBody(ids, { timeSeconds: 30, seen: [] })).expect(200);
    const overall = 8.5 - 1.4 * Math.abs(balance - likes);
    await house.put(`tastings/${v7()}`, { shotId, person, balance, body: 0, overall }).expect(200);
  }
  return shotIds;
}
const giveUp = async (ids: Furnished) => {
  const run = dtoOf(await house.get(`runs/${ids.runId}`));
  await house.put(`runs/${ids.runId}`, { ...run, status: 'given-up' }).expect(200);
};
const palateOf = async (person: string): Promise<PalateRow | undefined> =>
  (await house.get<PalateRow[]>('palates')).find((row) => row.person === person);
const CUPS = [-1, -0.5, 0, 0.5, 1, 1.5];

describe('a taster', () => {
  it('is known by the marks of several cups, and not before the dial-in ends', async () => {
    const ids = await furnish(house, ' known');
    await taste(ids, 'Mads', 0.5, CUPS);
    expect(await palateOf('Mads')).toBeUndefined();
    await giveUp(ids);
    const { balance, tastings } = (await palateOf('Mads'))!;
    expect(tastings).toBe(6);
    expect(balance).toBeGreaterThan(0.15);
    expect(balance).toBeLessThan(0.6);
  });

  it('is known by how they mark, which the next dial-in they taste in reckons with', async () => {
    const ids = await furnish(house, ' marks');
    await taste(ids, 'Signe', 0, CUPS);
    await giveUp(ids);
    const { marks } = (await palateOf('Signe'))!;
    expect(marks!.overall!.best.mean).toBeGreaterThan(7.5);
    expect(marks!.sweetness).toBeNull();
    const next = await furnish(house, ' marks next');
    await taste(next, 'Signe', 0, [0]);
    const sheet = await house.get<{ palates: PalateRow[] }>(`runs/${next.runId}/sheet`);
    expect(sheet.palates).toEqual([expect.objectContaining({ person: 'Signe', marks })]);
  });

  it('stays unknown after four cups', async () => {
    const ids = await furnish(house, ' four');
    await taste(ids, 'Four', 0.5, CUPS.slice(0, 4));
    await giveUp(ids);
    expect(await palateOf('Four')).toBeUndefined();
  });

  it('is not judged by a shot that was entered by mistake', async () => {
    const ids = await furnish(house, ' mistake');
    const shotIds = await taste(ids, 'Slip', 0, CUPS);
    await giveUp(ids);
    expect((await palateOf('Slip'))!.tastings).toBe(6);
    const removed = shotBody(ids, { timeSeconds: 30, seen: [], revision: 1, removedAt: '2026-03-01T07:00:00Z' });
    await house.put(`shots/${shotIds[0]}`, removed).expect(200);
    expect((await palateOf('Slip'))!.tastings).toBe(5);
  });

  it('is known better with every cup', async () => {
    const ids = await furnish(house, ' better');
    await taste(ids, 'Ever', 0, CUPS);
    await giveUp(ids);
    const early = (await palateOf('Ever'))!;
    const more = await furnish(house, ' better still');
    await taste(more, 'Ever', 0, [...CUPS, ...CUPS]);
    await giveUp(more);
    const late = (await palateOf('Ever'))!;
    expect([early.tastings, late.tastings]).toEqual([6, 18]);
    expect(late.balanceSd).toBeLessThan(0.8 * early.balanceSd);
  });

  it('who starts over is judged by what comes after', async () => {
    const ids = await furnish(house, ' again');
    await taste(ids, 'Again', 1, CUPS);
    await giveUp(ids);
    expect((await palateOf('Again'))!.balance).toBeGreaterThan(0.3);
    await house.put('palates/Again', { forgetBefore: new Date().toISOString() }).expect(204);
    expect(await palateOf('Again')).toBeUndefined();
    const later = await furnish(house, ' again again');
    await taste(
      later,
      'Again',
      -0.5,
      CUPS.map((cup) => -cup),
    );
    await giveUp(later);
    expect(await palateOf('Again')).toMatchObject({ tastings: 6 });
    expect((await palateOf('Again'))!.balance).toBeLessThan(-0.15);
  });
});

describe('a tasting', () => {
  it('is corrected by whoever saw it last, and what was learned follows', async () => {
    const ids = await furnish(house, ' correct');
    const shotId = v7();
    await house.put(`shots/${shotId}`, shotBody(ids, { timeSeconds: 30, seen: [] })).expect(200);
    const id = v7();
    const note = { shotId, balance: -2, body: -1 };
    await house.put(`tastings/${id}`, note).expect(200);
    await giveUp(ids);
    type Lesson = { lesson: { balance: { mean: number } } };
    const sour = (await house.get<Lesson>(`runs/${ids.runId}`)).lesson.balance.mean;
    await house.put(`tastings/${id}`, { ...note, balance: 2 }).expect(409);
    await house.put(`tastings/${id}`, { ...note, balance: 2, revision: 1 }).expect(200);
    expect((await house.get<Lesson>(`runs/${ids.runId}`)).lesson.balance.mean).toBeGreaterThan(sour + 1);
  });

  it.each([
    ['balance', -3.5],
    ['body', 4],
    ['dryness', -1],
    ['overall', 11],
    ['sweetness', 'much'],
    ['share', 2],
  ])('is refused where %s is %p', async (path, value) => {
    const ids = await furnish(house, ` refused ${path}`);
    const shotId = v7();
    await house.put(`shots/${shotId}`, shotBody(ids)).expect(200);
    const { body } = await house.put(`tastings/${v7()}`, { shotId, [path]: value }).expect(400);
    expect((body as { errors: { path: string }[] }).errors[0]!.path).toBe(path);
  });

  it('of a shot that does not exist is refused by name', async () => {
    const { body } = await house.put(`tastings/${v7()}`, { shotId: v7(), balance: 0 }).expect(422);
    expect((body as { errors: { path: string }[] }).errors[0]!.path).toBe('shotId');
  });
});
