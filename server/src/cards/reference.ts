import { ApiProperty } from '@nestjs/swagger';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { LINE_SCHEMA } from '../shots/shot.dto';

/** What the card of a coffee shows to whoever pulls it. */
export class ReferenceView {
  @ApiProperty({ ...LINE_SCHEMA, nullable: true, description: 'Grams at every second of its own shot' })
  line!: (number | null)[] | null;
  @ApiProperty({ type: Number, nullable: true, description: 'Water of the pre-brew valve in 30 s, g' })
  valveGrams!: number | null;
}

/** Of the card of this coffee here that was changed last, in its newest version; null where there is none. */
export async function referenceOf(
  sequelize: Sequelize,
  { shopId, stationId, coffeeId }: Record<'shopId' | 'stationId' | 'coffeeId', string>,
): Promise<ReferenceView | null> {
  const [found] = await sequelize.query<ReferenceView>(
    `SELECT kept."traced"->'line' AS "line", (v."recipe"->>'valveGrams')::float8 AS "valveGrams"
     FROM (SELECT * FROM cards WHERE "shopId" = :shopId AND "coffeeId" = :coffeeId AND "stationId" = :stationId
             AND "retiredAt" IS NULL ORDER BY "updatedAt" DESC LIMIT 1) c
     CROSS JOIN LATERAL (SELECT * FROM card_versions WHERE "shopId" = c."shopId" AND "cardId" = c."id"
                         ORDER BY "version" DESC LIMIT 1) v
     LEFT JOIN shots kept ON kept."shopId" = v."shopId" AND kept."id" = v."shotId"`,
    { replacements: { shopId, coffeeId, stationId }, type: QueryTypes.SELECT },
  );
  return found ?? null;
}
