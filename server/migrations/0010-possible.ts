import type { Migration } from '../src/database/migration';

/** By `possible_` and the field it is about: what must hold, and how it is said to whoever has to correct a row. */
const CONSTRAINTS: Record<string, Record<string, [rule: string, message: string]>> = {
  shots: {
    grind: [between('grind', -1000, 10_000), 'must be between -1000 and 10000'],
    doseGrams: [between('doseGrams', 1, 60), 'must be between 1 and 60'],
    yieldGrams: [between('yieldGrams', 1, 500), 'must be between 1 and 500'],
    temperatureC: [between('temperatureC', 60, 100), 'must be between 60 and 100'],
    timeSeconds: [between('timeSeconds', 1, 900), 'must be between 1 and 900'],
    grindSeconds: [between('grindSeconds', 0.1, 120), 'must be between 0.1 and 120'],
    firstDripSeconds: [
      `${between('firstDripSeconds', 0, 900)} AND ("timer" = 'first-drip' OR "firstDripSeconds" <= "timeSeconds")`,
      'must not be after the shot has ended',
    ],
    tdsPercent: [
      `${between('tdsPercent', 0.1, 30)} AND "tdsPercent" * "yieldGrams" <= 30 * "doseGrams"`,
      'makes an extraction above 30 %: there is none',
    ],
    seen: [`jsonb_array_length("seen") <= 20`, 'must have at most 20 entries'],
    pulledAt: [since2000('pulledAt'), 'must lie between the year 2000 and now'],
  },
  runs: {
    startedAt: [since2000('startedAt'), 'must lie between the year 2000 and now'],
    // The server itself writes to dial-ins that ended long ago; nobody could correct a clock of then.
    endedAt: [`"endedAt" >= "startedAt" OR "createdAt" < '2026-12-02Z'`, 'lies before the dial-in began'],
  },
  stations: { grind: [between('grind', -1000, 10_000), 'must be between -1000 and 10000'] },
  grinders: {
    max: [`"max" > "min" AND "min" >= -1000 AND "max" <= 10000`, 'must be above the lower end of the scale'],
  },
  baskets: {
    maxGrams: [
      `"minGrams" >= 4 AND "maxGrams" <= 40 AND "maxGrams" >= "minGrams"`,
      'must not be below the least it takes',
    ],
  },
  bags: {
    openedOn: [`"openedOn" >= "roastedOn"`, 'must not be before the day of roast'],
    roastedOn: [`"roastedOn" >= '2000-01-01'`, 'must lie between the year 2000 and now'],
    weightGrams: [between('weightGrams', 1, 100_000), 'must be between 1 and 100000'],
  },
  coffees: { altitudeM: [between('altitudeM', -400, 6000), 'must be between -400 and 6000'] },
  shops: { currency: [`"currency" ~ '^[A-Z]{3}$'`, 'must be the code of a currency, like EUR'] },
};

/** For every write from now on; rows that were there stay as they are and are listed for correction. */
export const up: Migration['up'] = async ({ run }) => {
  for (const [table, fields] of Object.entries(CONSTRAINTS)) {
    for (const [field, [rule, message]] of Object.entries(fields)) {
      await run(`ALTER TABLE ${table} ADD CONSTRAINT "possible_${field}" CHECK (${rule}) NOT VALID`);
      await run(`COMMENT ON CONSTRAINT "possible_${field}" ON ${table} IS '${message}'`);
    }
  }
};

export const down: Migration['down'] = async ({ run }) => {
  for (const [table, fields] of Object.entries(CONSTRAINTS)) {
    for (const field of Object.keys(fields)) await run(`ALTER TABLE ${table} DROP CONSTRAINT "possible_${field}"`);
  }
};

/** Where nothing is known, anything is possible: NULL makes no CHECK fail. */
function between(field: string, min: number, max: number): string {
  return `"${field}" BETWEEN ${min} AND ${max}`;
}

function since2000(field: string): string {
  return `"${field}" >= '2000-01-01Z'`;
}
