import { combineCoffee, combineSlopes, palateOf, type Lesson } from '@olvet/core';
import { Op, type Transaction, type WhereOptions } from 'sequelize';
import { Coffee } from '../coffees/coffee.entity';
import { Grinder } from '../grinders/grinder.entity';
import { Run } from '../runs/run.entity';
import { Tasting } from '../tastings/tasting.entity';
import { PersonPalate } from './palate.entity';

/** Older dial-ins say little of burrs and bags of today. */
const NEWEST_RUNS = 40;
const NEWEST_TASTINGS = 300;

/**
 * Keeps what a dial-in taught, and puts it together again with the other lessons of its grinder and its coffee: a lesson
 * that changes later, because a shot was corrected, changes both.
 */
export async function keepLesson(run: Run, lesson: Lesson, transaction: Transaction): Promise<void> {
  const { shopId, grinderId, coffeeId } = run;
  // A coffee may be learned of on two grinders at once: the second waits here, and then sees what the first stored.
  await Coffee.findOne({ attributes: ['id'], where: { shopId, id: coffeeId }, transaction, lock: true });
  await run.update({ lesson }, { transaction, silent: true });
  const grinder = await Grinder.findOne({ where: { shopId, id: grinderId }, transaction, rejectOnEmpty: true });
  const ofGrinder = await lessonsOf({ shopId, grinderId }, transaction);
  await grinder.update({ learnedSlope: combineSlopes(grinder, ofGrinder) }, { transaction, silent: true });
  const ofCoffee = await lessonsOf({ shopId, coffeeId }, transaction);
  await Coffee.update(
    { learnedTaste: combineCoffee(ofCoffee) },
    { where: { shopId, id: coffeeId }, transaction, silent: true },
  );
}

/** Newest first. */
async function lessonsOf(
  where: { shopId: string; grinderId?: string; coffeeId?: string },
  transaction: Transaction,
): Promise<Lesson[]> {
  const runs = await Run.findAll({
    attributes: ['lesson'],
    where: { ...where, lesson: { [Op.ne]: null } } as WhereOptions,
    order: [['startedAt', 'DESC']],
    limit: NEWEST_RUNS,
    transaction,
  });
  return runs.map(({ lesson }) => lesson!);
}

/** Learns again where these people like a cup best, from their marks since they last asked to start over. */
export async function learnPalates(shopId: string, people: readonly string[], transaction: Transaction): Promise<void> {
  for (const person of new Set(people)) {
    if (person === '') continue;
    const known = await PersonPalate.findOne({ where: { shopId, person }, transaction });
    const tastings = await tastingsOf(shopId, person, known?.forgetBefore ?? null, transaction);
    const palate = palateOf(tastings);
    await PersonPalate.upsert({ shopId, person, palate, forgetBefore: known?.forgetBefore ?? null }, { transaction });
  }
}

/** Newest first; what was tasted of a shot that was entered by mistake does not count. */
function tastingsOf(shopId: string, person: string, since: Date | null, transaction: Transaction): Promise<Tasting[]> {
  return Tasting.sequelize!.query(
    `SELECT t."balance", t."body", t."overall", t."sweetness", t."dryness" FROM tastings t
     JOIN shots x ON x."shopId" = t."shopId" AND x."id" = t."shotId" AND x."removedAt" IS NULL
     WHERE t."shopId" = :shopId AND t."person" = :person AND t."createdAt" > coalesce(:since, '-infinity'::timestamptz)
     ORDER BY t."createdAt" DESC LIMIT ${NEWEST_TASTINGS}`,
    { replacements: { shopId, person, since }, model: Tasting, mapToModel: true, transaction },
  );
}
