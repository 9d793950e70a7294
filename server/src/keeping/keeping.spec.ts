import type { DeviceKind } from '@olvet/core';
import type { AddressInfo } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { v7 } from 'uuid';
import { DeviceLink, type LinkOptions } from '../../../standins/src/link';
import type { BoardStationView, BoardView } from '../board/board.dto';
import type { DeviceView } from '../devices/device.dto';
import { DevicesService } from '../devices/devices.service';
import { ShopService } from '../shop/shop.service';
import { cardBody, dtoOf, furnish, RECIPE, shotBody, testHouse, type Furnished } from '../testing/testHouse';
import { KeepingService } from './keeping.service';

/** A Monday morning at a shop whose clock is UTC. */
let now = Date.parse('2026-03-02T09:00:00Z');
const house = testHouse({ now: () => now });
const links: DeviceLink[] = [];

beforeAll(() => house.app.listen(0, '127.0.0.1'));
afterAll(() => {
  for (const link of links) link.end();
});

async function until<T>(look: () => Promise<T | null | undefined | false>): Promise<T> {
  for (let i = 0; i < 200; i += 1) {
    const found = await look();
    if (found) return found;
    await sleep(25);
  }
  throw new Error('waited five seconds for nothing');
}

interface Bar extends Furnished {
  machine: DeviceLink;
  grinder: DeviceLink;
  /** Where the simulated grinder really stands. */
  stands(): number;
  pour(timeSeconds: number): Promise<BoardStationView>;
  standing(): Promise<BoardStationView>;
  step(): Promise<void>;
}

/** A station whose card was found at 30 s and 11.5, with a machine that tells its shots and a grinder that can be turned. */
async function bar(tag: string): Promise<Bar> {
  const ids = await furnish(house, ` ${tag}`);
  const { stationId } = ids;
  const found = { grind: 11.5, yieldGrams: 37, seen: [], pulledAt: new Date(now - 60_000).toISOString() };
  for (const timeSeconds of [29.5, 30.5, 30]) {
    await house.put(`shots/${v7()}`, shotBody(ids, { ...found, timeSeconds })).expect(200);
  }
  await house.put(`runs/${ids.runId}/card`, cardBody({ recipe: RECIPE })).expect(200);
  let stands = 11.5;
  const { port } = house.app.getHttpServer().address() as AddressInfo;
  const connect = async (kind: DeviceKind, change: Partial<LinkOptions>): Promise<{ id: string; link: DeviceLink }> => {
    const name = `${kind} ${tag}`;
    const base = { kind, name, key: `the key of ${name}`, address: `ws://127.0.0.1:${port}/api/devices/socket` };
    const link = new DeviceLink({ ...base, unit: '', capabilities: [], ...change });
    links.push(link);
    const find = async () =>
      (await house.get<{ items: DeviceView[] }>('devices')).items.find((device) => device.name === name);
    const { id, revision } = await until(find);
    const body = { name, stationId, letInAt: new Date(now).toISOString(), revision };
    await house.put(`devices/${id}`, body).expect(200);
    return { id, link };
  };
  const machine = await connect('machine', { unit: 'bar', capabilities: ['start', 'stop'] });
  const grinder = await connect('grinder', {
    ...{ unit: 'units', capabilities: ['set-grind'] },
    onCommand: (_command, value) => {
      stands = value!;
      grinder.link.report({ grind: stands });
      return Promise.resolve(null);
    },
  });
  grinder.link.report({ grind: stands });
  const devices = house.app.get(DevicesService);
  const shopId = await house.app.get(ShopService).currentId();
  const standing = async () =>
    (await house.get<BoardView>('board')).stations.find(({ station }) => station.id === stationId)!;
  await until(
    async () => (await house.get<{ reports: unknown[] }>(`devices/${grinder.id}/reports`)).reports.length > 0,
  );
  return {
    ...ids,
    ...{ machine: machine.link, grinder: grinder.link, stands: () => stands, standing },
    pour: async (timeSeconds) => {
      now += 5 * 60_000;
      await Promise.all([devices.see(shopId, machine.id, true), devices.see(shopId, grinder.id, true)]);
      const { shots } = await standing();
      machine.link.happen('pump-off', { shotSeconds: timeSeconds });
      const poured = await until(async () => {
        const after = await standing();
        return after.shots.at(-1)?.id !== shots.at(-1)?.id && after;
      });
      // The word of the shot moves the loop; it is done once nobody acts and it was looked at again.
      await sleep(50);
      await house.app.get(KeepingService).step(shopId, stationId);
      await until(async () => {
        const [rows] = await house.sequelize.query(`SELECT 1 FROM keepers WHERE "actingUntil" IS NOT NULL`);
        return rows.length === 0;
      });
      return (await standing()) ?? poured;
    },
    step: () => house.app.get(KeepingService).step(shopId, stationId),
  };
}

const LIMITS = { isOn: true, unitsPerMove: 0.5, unitsPerDay: 3, shotsBetween: 3, fewestShots: 3 };
const allow = (ids: Furnished, change: object = {}) => house.put(`keepers/${ids.stationId}`, { ...LIMITS, ...change });
const post = (path: string) => house.api.post(`/api/${path}`).expect(200);

describe('the closed loop of a station', () => {
  it('turns the grinder by a step once a run of told shots drifts, and waits for what it brought', async () => {
    const at = await bar('drifts');
    await allow(at).expect(200);
    for (const time of [30.2, 29.8]) await at.pour(time);
    let standing = await at.standing();
    for (const time of [34.8, 35.3, 34.9, 35.6]) {
      standing = await at.pour(time);
      if (at.stands() !== 11.5) break;
    }
    expect(at.stands()).toBe(12);
    expect(standing).toMatchObject({ station: { grind: 12 }, keeper: { heldAt: null } });
    expect(standing.day!.lastMove).toMatchObject({ isKeeper: true, fromGrind: 11.5, toGrind: 12 });
    // A flush is no shot, and the next shots are waited for.
    const { shots } = standing;
    at.machine.happen('pump-off', { shotSeconds: 4 });
    const after = await at.pour(35.2);
    expect(after.shots.filter(({ id }) => !shots.some((old) => old.id === id))).toHaveLength(1);
    expect(at.stands()).toBe(12);
  });

  it('is taken back by a person: the grinder itself turns back, and the loop holds', async () => {
    const at = await bar('taken');
    await allow(at).expect(200);
    for (let i = 0; i < 8 && at.stands() === 11.5; i += 1) await at.pour(35 + (i % 2) / 2);
    const { lastMove } = (await at.standing()).day!;
    const {
      fromGrind: _from,
      fromGrindSeconds: _seconds,
      isKeeper: _keeper,
      ...dto
    } = dtoOf(lastMove!) as Record<string, unknown>;
    const undo = { ...dto, undoneAt: new Date(now).toISOString(), revision: lastMove!.revision };
    // Refused, it turns nothing.
    await house.put(`day-moves/${lastMove!.id}`, { ...undo, revision: 99 }).expect(409);
    expect(at.stands()).toBe(12);
    await house.put(`day-moves/${lastMove!.id}`, undo).expect(200);
    expect(at.stands()).toBe(11.5);
    expect(await at.standing()).toMatchObject({ station: { grind: 11.5 }, keeper: { heldWhy: 'taken-back' } });
    await post(`keepers/${at.stationId}/go-on`);
    expect(await at.standing()).toMatchObject({ keeper: { heldAt: null, heldWhy: null } });
  });

  it('is stopped at once, whatever was seen of it before, and does nothing then', async () => {
    const at = await bar('stopped');
    await allow(at).expect(200);
    await post(`keepers/${at.stationId}/hold`);
    for (const time of [35, 35.5, 35.2, 35.4]) await at.pour(time);
    expect(at.stands()).toBe(11.5);
    expect(await at.standing()).toMatchObject({ keeper: { isOn: true, heldWhy: 'by-hand' } });
    await house.api.post(`/api/keepers/${v7()}/hold`).expect(404);
  });

  it('holds itself where the hopper was filled, until a person has looked', async () => {
    const at = await bar('filled');
    await allow(at).expect(200);
    await at.pour(30);
    now += 1000;
    const event = { stationId: at.stationId, kind: 'hopper-filled', at: new Date(now).toISOString() };
    await house.put(`station-events/${v7()}`, event).expect(200);
    await at.step();
    const { keeper, day } = await at.standing();
    expect(keeper).toMatchObject({ heldWhy: 'hopper-filled' });
    expect(day!.marks).toContainEqual(expect.objectContaining({ kind: 'hopper-filled' }));
    now += 1000;
    await post(`keepers/${at.stationId}/go-on`);
    await at.step();
    expect((await at.standing()).keeper).toMatchObject({ heldAt: null });
  });

  it('holds itself where a device is silent, or the grinder stands elsewhere', async () => {
    const at = await bar('silent');
    await allow(at).expect(200);
    now += 60_000;
    await at.step();
    expect((await at.standing()).keeper).toMatchObject({ heldWhy: 'no-machine' });
    await post(`keepers/${at.stationId}/go-on`);
    await house.sequelize.query(`UPDATE stations SET "grind" = 13 WHERE "id" = '${at.stationId}'`);
    await at.pour(30);
    expect((await at.standing()).keeper).toMatchObject({ heldWhy: 'grinder-elsewhere' });
  });

  it('keeps what it may do within its bounds', async () => {
    const at = await furnish(house, ' bounds');
    const pathsOf = async (change: object, status: number) =>
      ((await allow(at, change).expect(status)).body as { errors: { path: string }[] }).errors.map(({ path }) => path);
    expect(await pathsOf({ unitsPerMove: 0, shotsBetween: 2, quietFrom: '25:00' }, 400)).toEqual([
      'unitsPerMove',
      'shotsBetween',
      'quietFrom',
    ]);
    expect(await pathsOf({ quietFrom: '22:00' }, 422)).toEqual(['quietUntil']);
    await house.put(`keepers/${v7()}`, LIMITS).expect(422);
  });
});
