import type { NestExpressApplication } from '@nestjs/platform-express';
import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { Client } from 'pg';
import { Sequelize } from 'sequelize-typescript';
import request, { type Test } from 'supertest';
import type TestAgent from 'supertest/lib/agent';
import { v7 } from 'uuid';
import { createApp } from '../app';
import type { Config } from '../config';
import { MODELS } from '../database/models';
import { ShopService } from '../shop/shop.service';
import { refuseSecondConnections } from '../database/oneConnection';
import { serverOwnedOf } from '../database/serverOwned';
import { createFromTemplate } from './template';

/** A whole server on a database of its own, for one spec. */
export interface TestHouse {
  app: NestExpressApplication;
  sequelize: Sequelize;
  api: TestAgent;
  /** A write of one thing by its path under /api, to be awaited or expected of. */
  put(path: string, body: object): Test;
  /** What stands there. */
  get<T extends object = object>(path: string, query?: object): Promise<T>;
  close(): Promise<void>;
}

/** What the server adds to a row; a client sends none of it back but the revision. */
const ADDED = new Set(MODELS.flatMap(serverOwnedOf).filter((column) => column !== 'revision'));

/** A row as its own DTO again. */
export function dtoOf(row: object): object {
  return Object.fromEntries(Object.entries(row).filter(([key]) => !ADDED.has(key)));
}

async function openTestHouse(change: Partial<Config>): Promise<TestHouse> {
  const address = process.env.TEST_DATABASE_URL;
  if (!address) throw new TypeError('TEST_DATABASE_URL is not set: run the tests with `npm test -- unit`');
  const name = `jest_${randomUUID().replaceAll('-', '')}`;
  await createFromTemplate(address, name);
  const url = new URL(address);
  url.pathname = `/${name}`;
  const app = await createApp({
    databaseUrl: url.href,
    host: '127.0.0.1',
    port: 0,
    webFolder: null,
    demo: false,
    logLevel: 'silent',
    dataFolder: null,
    lessonPatienceMs: 20_000,
    networkNames: [],
    now: Date.now,
    ...change,
  });
  const sequelize = app.get(Sequelize);
  refuseSecondConnections(sequelize);
  await app.init();
  // Specs say "today" by the calendar; the hour a shop's day begins has a spec of its own.
  await app.get(ShopService).currentId();
  await sequelize.query('UPDATE shops SET "firstHour" = 0');
  const api = request.agent(app.getHttpServer());
  return {
    app,
    sequelize,
    api,
    put: (path, body) => api.put(`/api/${path}`).send(body),
    get: async <T extends object = object>(path: string, query: object = {}) =>
      (await api.get(`/api/${path}`).query(query).expect(200)).body as T,
    async close() {
      await app.close();
      await drop(address, name);
    },
  };
}

/** The house of a whole spec: opened before its tests, closed after them. */
export function testHouse(change: Partial<Config> = {}): TestHouse {
  const house = {} as TestHouse;
  beforeAll(async () => Object.assign(house, await openTestHouse(change)));
  afterAll(() => house.close());
  return house;
}

/** Where the database's own housekeeping is just at work in it, it may not be dropped for a moment. */
async function drop(address: string, name: string, tries = 20): Promise<void> {
  try {
    await administer(address, `DROP DATABASE ${name} WITH (FORCE)`);
  } catch (error) {
    if (tries === 0) throw error;
    await sleep(250);
    await drop(address, name, tries - 1);
  }
}

/** One statement outside any database of a test. */
export async function administer(address: string, sql: string): Promise<void> {
  const client = new Client({ connectionString: address });
  await client.connect();
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}

export const GRINDER = {
  name: 'Lefty',
  min: 0,
  max: 40,
  step: 0.5,
  finer: 'lower',
  dosing: 'timed',
  purgeGrams: 12,
};

export const TARGET = {
  doseGrams: 18,
  yieldGrams: 36,
  temperatureC: 93,
  timeSeconds: { min: 27, max: 33 },
  timer: 'pump-on',
  balance: 0,
  body: 0,
};

/** A kept recipe as the page sends it when a dial-in ends. */
export const RECIPE = {
  grind: 11.5,
  doseGrams: 18,
  yieldGrams: 37,
  temperatureC: 93,
  timeSeconds: { min: 27, max: 33 },
  timer: 'pump-on',
  grinderName: 'Lefty',
  machineName: 'Twin',
  basketName: '18 g',
};

export function cardBody(change: object = {}) {
  return { cardId: v7(), versionId: v7(), name: 'Saltmarsh', purpose: 'black', recipe: RECIPE, ...change };
}

/** Ids of a station with an open dial-in, made through the API as the page does it. */
export interface Furnished {
  grinderId: string;
  machineId: string;
  basketId: string;
  coffeeId: string;
  stationId: string;
  runId: string;
}

export function newIds(): Furnished {
  return { grinderId: v7(), machineId: v7(), basketId: v7(), coffeeId: v7(), stationId: v7(), runId: v7() };
}

/** A whole set-up request. `tag` keeps names apart. */
export function setupBody(ids: Furnished, tag = '') {
  const { grinderId, machineId, basketId, coffeeId, stationId, runId } = ids;
  const gear = { grinderId, machineId, basketId, coffeeId, methodId: 'balance-walk', target: TARGET };
  return {
    grinder: { ...GRINDER, name: `Lefty${tag}` },
    machine: { name: `Twin${tag}`, temperatureC: { min: 88, max: 97, step: 0.5 } },
    basket: { name: `18 g${tag}`, nominalGrams: 18, minGrams: 16, maxGrams: 20 },
    coffee: { name: `Saltmarsh${tag}`, roast: 'medium' },
    station: { ...gear, name: `Left bar${tag}`, grind: 14 },
    run: { ...gear, stationId, status: 'open', startGrind: 14, startedAt: '2026-03-01T06:41:00.000Z' },
    runId,
  };
}

export async function furnish(house: TestHouse, tag = ''): Promise<Furnished> {
  const ids = newIds();
  await house.api.put(`/api/setup/${ids.stationId}`).send(setupBody(ids, tag)).expect(200);
  return ids;
}

export function shotBody(ids: Furnished, change: object = {}) {
  return {
    runId: ids.runId,
    stationId: ids.stationId,
    pulledAt: '2026-03-01T06:43:00.000Z',
    grind: 14,
    doseGrams: 18.1,
    yieldGrams: 36.8,
    temperatureC: 93,
    planned: { grind: 14, doseGrams: 18, yieldGrams: 36, temperatureC: 93 },
    timeSeconds: 21.5,
    timer: 'pump-on',
    seen: [{ sign: 'spurts', clock: 2 }],
    purged: true,
    ...change,
  };
}

/** Another dial-in with the gear of one that may be over. */
export async function beginAgain(house: TestHouse, ids: Furnished): Promise<Furnished> {
  const run = dtoOf(await house.get(`runs/${ids.runId}`));
  const begun = { ...run, status: 'open', startedAt: new Date().toISOString(), endedAt: null, revision: undefined };
  const runId = v7();
  await house.put(`runs/${runId}`, begun).expect(200);
  return { ...ids, runId };
}
