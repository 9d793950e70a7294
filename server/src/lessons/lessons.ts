import { combineCoffee, combineSlopes, palateOf, serviceLessons, type Lesson, type ServedShot } from '@olvet/core';
import { Op, QueryTypes, type Transaction, type WhereOptions } from 'sequelize';
import { Coffee } from '../coffees/coffee.entity';
import { Grinder } from '../grinders/grinder.entity';
import { Run } from '../runs/run.entity';
import { Shot } from '../shots/shot.entity';
import { Tasting } from '../tastings/tasting.entity';
import { PersonPalate } from './palate.entity';

/** Older dial-ins say little of burrs and bags of today. */
const NEWEST_RUNS = 40;
const NEWEST_TASTINGS = 300;
/** At one station: some days of a busy bar, weeks of a quiet one. */
const NEWEST_SERVED = 600;

/**
 * Keeps what a dial-in taught, and puts it together again with the other lessons of its grinder and its coffee: a lesson
 * that changes later, because a shot was corrected, changes both.
 */
export async function keepLesson(run: Run, lesson: Lesson, transaction: Transaction): Promise<void> {
  const { shopId, grinderId, coffeeId } = run;
  // A coffee may be learned of on two grinders at once: the second waits here, and then sees what the first stored.
  await Coffee.findOne({ attributes: ['id'], where: { shopId, id: coffeeId }, transaction, lock: true });
  await run.update({ lesson }, { transaction, silent: true });
  await learnSlope(shopId, grinderId, transaction);
  const ofCoffee = await lessonsOf({ shopId, coffeeId }, transaction);
  await Coffee.update(
    { learnedTaste: combineCoffee(ofCoffee) },
    { where: { shopId, id: coffeeId }, transaction, silent: true },
  );
}

/** Puts together again what dial-ins and service said of a grinder. */
export async function learnSlope(shopId: string, grinderId: string, transaction: Transaction): Promise<void> {
  const where = { shopId, id: grinderId };
  const grinder = await Grinder.findOne({ where, transaction, lock: true, rejectOnEmpty: true });
  const ofDialIns = await lessonsOf({ shopId, grinderId }, transaction);
  const served = await servedShots(shopId, grinderId, transaction);
  const inService = serviceLessons(served, grinder.finer === 'higher' ? 1 : -1);
  const learnedSlope = combineSlopes(grinder, ofDialIns, inService);
  await grinder.update({ learnedSlope }, { transaction, silent: true });
}

/** Oldest first; what went wrong, or was poured at an hour nobody knows, tells nothing of a turn. */
async function servedShots(shopId: string, grinderId: string, transaction: Transaction): Promise<ServedShot[]> {
  return Shot.sequelize!.query<ServedShot>(
    `SELECT x."stationId", x."coffeeId", x."pulledAt", x."grind", x."timeSeconds",
            CASE WHEN x."assumed" ? 'yieldGrams' OR x."yieldMl" IS NOT NULL THEN NULL ELSE x."yieldGrams" END AS "yieldGrams"
     FROM stations s
     CROSS JOIN LATERAL (
       SELECT * FROM shots WHERE "shopId" = s."shopId" AND "stationId" = s."id" AND "removedAt" IS NULL
         AND "kind" <> 'dial-in' AND "cause" IS NULL AND "purged" AND "hourKnown"
         AND "grind" IS NOT NULL AND "timeSeconds" IS NOT NULL
       ORDER BY "pulledAt" DESC LIMIT ${NEWEST_SERVED}) x
     WHERE s."shopId" = $shopId AND s."grinderId" = $grinderId ORDER BY x."pulledAt"`,
    { bind: { shopId, grinderId }, type: QueryTypes.SELECT, transaction },
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
