import type { Migration } from '../src/database/migration';

/** What a shop says of a basket itself, in place of what Olvet works out. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TABLE basket_rows ("coffeeId" uuid NOT NULL, "basketId" uuid NOT NULL, "length" text NOT NULL,
    "doseGrams" double precision NOT NULL, "yieldGrams" double precision NOT NULL, "timeSeconds" jsonb NOT NULL,
    "retiredAt" timestamptz,
    "shopId" uuid NOT NULL REFERENCES shops ("id") ON DELETE CASCADE, "id" uuid NOT NULL,
    "revision" integer NOT NULL DEFAULT 1, "changedBy" text NOT NULL DEFAULT '',
    "createdAt" timestamptz NOT NULL DEFAULT now(), "updatedAt" timestamptz NOT NULL DEFAULT now(),
    PRIMARY KEY ("shopId", "id"),
    FOREIGN KEY ("shopId", "coffeeId") REFERENCES coffees ("shopId", "id"),
    FOREIGN KEY ("shopId", "basketId") REFERENCES baskets ("shopId", "id"))`);
  await run(`CREATE INDEX basket_rows_of ON basket_rows ("shopId", "coffeeId")`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TABLE basket_rows');
};
