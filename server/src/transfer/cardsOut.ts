import { cardMarkdown, cardRecipe, type CardFile } from '@olvet/core';

/** Every card in use in its newest version, as its files carry it. `$1` is the shop, `$2` one card or null. */
export const CARD_FILES = `
  SELECT c."id"::text AS "id", c."name", c."purpose", co."name" AS "coffeeName", s."name" AS "stationName",
         v."version", v."createdAt" AS "setAt", v."setBy", v."note", v."tastesLike", v."recipe",
         (v."found" ->> 'seconds')::float8 AS "foundSeconds"
  FROM cards c
  JOIN coffees co ON co."shopId" = c."shopId" AND co."id" = c."coffeeId"
  JOIN stations s ON s."shopId" = c."shopId" AND s."id" = c."stationId"
  CROSS JOIN LATERAL (SELECT * FROM card_versions WHERE "shopId" = c."shopId" AND "cardId" = c."id"
                      ORDER BY "version" DESC LIMIT 1) v
  WHERE c."shopId" = $1 AND c."retiredAt" IS NULL AND ($2::uuid IS NULL OR c."id" = $2::uuid)
  ORDER BY c."id"`;

export type CardRow = Omit<CardFile, 'setAt'> & { id: string; setAt: Date };

export const CARD_FORMS = { md: cardMarkdown, jsonld: (card: CardFile) => json(cardRecipe(card)) } as const;
export type CardForm = keyof typeof CARD_FORMS;

export function cardText({ setAt, ...card }: CardRow, form: CardForm): string {
  return CARD_FORMS[form]({ ...card, setAt: setAt.toISOString() });
}

function json(value: object): string {
  return `${JSON.stringify(value, null, 2)}\n`;
}
