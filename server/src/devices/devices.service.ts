import { Inject, Injectable } from '@nestjs/common';
import type { DeviceCommand, DeviceHello, DeviceKind } from '@olvet/core';
import { createHash, randomInt, randomUUID } from 'node:crypto';
import { firstValueFrom, filter, map, timeout, TimeoutError } from 'rxjs';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { v7 } from 'uuid';
import { notFound, Problem } from '../common/problem';
import { createStore, type Resource } from '../common/store';
import { CONFIG, type Config } from '../config';
import { shown, type Shown } from '../database/owned.model';
import { Keeper } from '../keeping/keeper.entity';
import { LiveService, type HouseEvent } from '../live/live.service';
import { ShopService } from '../shop/shop.service';
import { Station } from '../stations/station.entity';
import type { DeviceDto, DeviceDoneView, DeviceView } from './device.dto';
import { Device } from './device.entity';

/** A device that is there says so every ten seconds. */
export const SEEN_EVERY_MS = 10_000;
const GONE_MS = 25_000;
/** What a device does takes no longer. */
const COMMAND_MS = 5000;
/** More than these are not a bar's: somebody plays. */
const MOST_WAITING = 20;
const CODE_DIGITS = 4;

/** Which of the devices of a demo belong to a station; the others are shared. */
const AT_STATION = new Set(['scale', 'machine', 'grinder']);

@Injectable()
export class DevicesService {
  readonly store: Resource<DeviceDto, DeviceView>;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    sequelize: Sequelize,
    private readonly live: LiveService,
    private readonly shops: ShopService,
  ) {
    const store = createStore<Device, DeviceDto>({
      sequelize,
      model: Device,
      what: 'device',
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
      filters: ['stationId'],
      check: async ({ row }) => {
        if (row === null) throw notFound('device');
      },
      afterWrite: (row, transaction) => live.tell(row.shopId, { kind: 'device', deviceId: row.id }, transaction),
    });
    this.store = {
      list: async (shopId, query) => {
        const page = await store.rows(shopId, query);
        return { ...page, items: page.items.map((row) => this.view(row)) };
      },
      get: async (shopId, id) => this.view(await store.row(shopId, id)),
      put: async (shopId, id, dto) => this.view(await store.write(shopId, id, dto)),
    };
  }

  async find(shopId: string, id: string): Promise<Device | null> {
    return Device.findOne({ where: { shopId, id } });
  }

  /**
   * The device that says so of itself, made where nobody knows it: it waits then until a person lets it in.
   * @throws Problem where too many wait, or it was put away
   */
  async meet(shopId: string, hello: DeviceHello, isHere: boolean): Promise<Device> {
    const keyHash = createHash('sha256').update(hello.key).digest('hex');
    const { kind, unit, capabilities, simulated = false } = hello;
    const self = { kind, unit, capabilities, isSimulated: simulated, seenAt: new Date(this.config.now()) };
    const known = await Device.findOne({ where: { shopId, keyHash } });
    if (known?.retiredAt) throw new Problem('not-let-in', `${known.name} was put away in the Workshop`);
    if (known) return known.update(self);
    if ((await Device.count({ where: { shopId, letInAt: null, retiredAt: null } })) >= MOST_WAITING) {
      throw new Problem('busy', 'too many devices wait already: let them in or put them away in the Workshop first');
    }
    // Of the demo, on this very machine: nobody needs to be asked.
    const isOfDemo = simulated && isHere && (await this.shops.get(shopId)).isDemo;
    const stationId = isOfDemo && AT_STATION.has(kind) ? await this.demoPlace(shopId, kind) : null;
    return Device.create({
      ...{ ...self, shopId, id: v7(), keyHash },
      name: await this.freeName(shopId, hello.name.trim()),
      code: isOfDemo ? null : String(randomInt(10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0'),
      letInAt: isOfDemo ? new Date(this.config.now()) : null,
      stationId,
    });
  }

  /** The first station; where it has such a device already, the one whose grinder Olvet turns by itself. */
  private async demoPlace(shopId: string, kind: DeviceKind): Promise<string | null> {
    const first = await Station.findOne({ where: { shopId }, order: [['position', 'ASC']] });
    if (!first || !(await Device.count({ where: { shopId, kind, stationId: first.id } }))) return first?.id ?? null;
    return (await Keeper.findOne({ where: { shopId } }))?.id ?? null;
  }

  /** The machine that tells the shots of a station, and the grinder there that can be turned; null where none was let in. */
  async turnable(shopId: string, stationId: string): Promise<{ machine: Device | null; grinder: Device | null }> {
    const where = { shopId, stationId, retiredAt: null, letInAt: { [Op.ne]: null } };
    const own = await Device.findAll({ where });
    return {
      machine: own.find(({ kind }) => kind === 'machine') ?? null,
      grinder: own.find(({ kind, capabilities }) => kind === 'grinder' && capabilities.includes('set-grind')) ?? null,
    };
  }

  /** It is still there, or has left. */
  async see(shopId: string, id: string, isThere: boolean): Promise<void> {
    const seenAt = isThere ? new Date(this.config.now()) : null;
    await Device.update({ seenAt }, { where: { shopId, id }, silent: true });
  }

  /** Asks a device to do something, at whichever server process it is, and waits for what became of it. */
  async command(shopId: string, deviceId: string, command: DeviceCommand, value?: number): Promise<DeviceDoneView> {
    const device = await this.find(shopId, deviceId);
    if (!device) throw notFound('device');
    if (!device.capabilities.includes(command)) {
      throw new Problem('invalid', `${device.name} cannot do this.`, [
        {
          path: 'command',
          message: `must be one of ${device.capabilities.join(', ') || 'nothing'} for ${device.name}`,
        },
      ]);
    }
    const id = randomUUID();
    const answer = firstValueFrom(
      this.live.events.pipe(
        map(({ event }) => event),
        filter((event): event is Extract<HouseEvent, { kind: 'done' }> => event.kind === 'done' && event.id === id),
        timeout(COMMAND_MS),
      ),
    );
    // Looked at below; a failure in between must not end the process.
    answer.catch(() => {});
    await this.live.tell(shopId, { kind: 'command', deviceId, id, command, ...(value === undefined ? {} : { value }) });
    try {
      const { ok, message = null } = await answer;
      return { ok, message };
    } catch (error) {
      if (!(error instanceof TimeoutError)) throw error;
      throw new Problem('busy', `${device.name} does not answer: is it on and in reach?`, [], { cause: error });
    }
  }

  view(row: Device): DeviceView {
    const { keyHash: _keyHash, seenAt, ...rest } = row.toJSON<Shown<Device> & { keyHash: string }>();
    const isConnected = seenAt !== null && this.config.now() - new Date(seenAt).getTime() < GONE_MS;
    return { ...shown(rest), isConnected } as unknown as DeviceView;
  }

  /** Two of one name are told apart by a number. */
  private async freeName(shopId: string, name: string): Promise<string> {
    for (let n = 1; ; n += 1) {
      const tried = n === 1 ? name : `${name.slice(0, 74)} (${n})`;
      if (!(await Device.count({ where: { shopId, name: tried } }))) return tried;
    }
  }
}
