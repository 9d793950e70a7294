import { v7 } from 'uuid';
import {
  beginAgain,
  cardBody,
  dtoOf,
  furnish,
  RECIPE,
  shotBody,
  testHouse,
  type Furnished,
} from '../testing/testHouse';
import { LearningService } from './learning.service';

const house = testHouse();

interface Learned {
  learnedSlope: { mean: number; sd: number; shots: number } | null;
}

const learnedOf = ({ grinderId }: Furnished) => house.get<Learned>(`grinders/${grinderId}`);

/** Two shots a unit apart, from which a slope can be learned. */
async function pour(ids: Furnished, [coarse, fine]: [number, number]): Promise<void> {
  for (const [grind, timeSeconds] of [
    [14, coarse],
    [12, fine],
  ]) {
    const shot = shotBody(ids, { grind, timeSeconds, seen: [], planned: { grind, doseGrams: 18, yieldGrams: 36 } });
    await house.put(`shots/${v7()}`, shot).expect(200);
  }
}

async function closeNow({ runId }: Furnished): Promise<void> {
  const run = dtoOf(await house.get(`runs/${runId}`));
  await house.put(`runs/${runId}`, { ...run, status: 'given-up', endedAt: new Date().toISOString() }).expect(200);
}

describe('what dial-ins teach', () => {
  it('counts both of two that are closed on one grinder in the same moment', async () => {
    for (let round = 0; round < 5; round += 1) {
      const one = await furnish(house, ` both ${round}`);
      const other = await beginAgain(house, one);
      await pour(one, [20, 28]);
      await pour(other, [21, 29]);
      await Promise.all([closeNow(one), closeNow(other)]);
      expect((await learnedOf(one)).learnedSlope).toMatchObject({ shots: 4 });
    }
  });

  it('counts both of one coffee that are closed on two grinders in the same moment', async () => {
    for (let round = 0; round < 5; round += 1) {
      const one = await furnish(house, ` left ${round}`);
      const right = await furnish(house, ` right ${round}`);
      const run = dtoOf(await house.get(`runs/${right.runId}`));
      const other = { ...right, coffeeId: one.coffeeId, runId: v7() };
      await house.put(`runs/${other.runId}`, { ...run, coffeeId: one.coffeeId, revision: undefined }).expect(200);
      for (const ids of [one, other]) {
        const tasting = { id: v7(), balance: 0, body: 0 };
        await house.put(`shots/${v7()}`, shotBody(ids, { timeSeconds: 29, seen: [], tasting })).expect(200);
      }
      await Promise.all([closeNow(one), closeNow(other)]);
      const coffee = await house.get<{ learnedTaste: object | null }>(`coffees/${one.coffeeId}`);
      expect(coffee.learnedTaste).toMatchObject({ shots: 2 });
    }
  });

  it('keeps fourteen cards at once, answers a reader meanwhile, and learns from all', async () => {
    const all = await Promise.all(Array.from({ length: 14 }, (_, n) => furnish(house, ` many ${n}`)));
    await Promise.all(all.map((ids) => pour(ids, [20, 28])));
    const kept = all.map(({ runId }, n) =>
      house.put(`runs/${runId}/card`, cardBody({ name: `Many ${n}` })).then(({ status }) => status),
    );
    await house.get('board');
    expect(new Set(await Promise.all(kept))).toEqual(new Set([200]));
    const learning = house.app.get(LearningService, { strict: false });
    const { id } = await house.get<{ id: string }>('shop');
    for (const ids of all) {
      await learning.settled(id, ids.grinderId);
      expect((await learnedOf(ids)).learnedSlope).toMatchObject({ shots: 2 });
    }
  });

  it('is there for a dial-in opened right after', async () => {
    const ids = await furnish(house, ' right after');
    await pour(ids, [20, 28]);
    await house.put(`runs/${ids.runId}/card`, cardBody({ recipe: { ...RECIPE, grind: 12 } })).expect(200);
    const next = await beginAgain(house, ids);
    const named = dtoOf(await house.get(`runs/${next.runId}`));
    const runId = v7();
    await house.put(`runs/${runId}`, { ...named, startGrind: null, revision: undefined }).expect(200);
    expect(await house.get(`runs/${runId}`)).toMatchObject({ suggestedStart: { from: [{ grind: 12 }] } });
  });

  it('is owed once the close is stored, and not where it is not', async () => {
    const ids = await furnish(house, ' owed');
    await pour(ids, [20, 28]);
    const card = cardBody({ recipe: { ...RECIPE, grind: 12 } });
    await house.put(`runs/${ids.runId}/card`, card).expect(200);
    await house.put(`runs/${ids.runId}/card`, card).expect(200);
    await house.put(`runs/${ids.runId}/card`, cardBody()).expect(409);
    const [[jobs]] = await house.sequelize.query(`SELECT count(*)::int AS "left" FROM graphile_worker.jobs`);
    expect(jobs).toEqual({ left: 0 });
    expect((await learnedOf(ids)).learnedSlope).toMatchObject({ shots: 2 });
  });
});
