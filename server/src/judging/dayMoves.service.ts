import { Injectable } from '@nestjs/common';
import { literal, type Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { notFound, Problem } from '../common/problem';
import { createStore, requireSeen, type Store, type Writing } from '../common/store';
import { DevicesService } from '../devices/devices.service';
import { checkOnScale } from '../grinders/onScale';
import { Keeper } from '../keeping/keeper.entity';
import { Station } from '../stations/station.entity';
import type { DayMoveDto } from './dayMove.dto';
import { DayMove } from './dayMove.entity';

/** A turn and the station that stands there from then on are one write; so is the way back. */
@Injectable()
export class DayMovesService {
  readonly store: Store<DayMove, DayMoveDto>;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly devices: DevicesService,
    private readonly clock: Clock,
  ) {
    const rows = createStore<DayMove, DayMoveDto>({
      sequelize,
      model: DayMove,
      what: 'move',
      order: [['at', 'DESC']],
      filters: ['stationId'],
      check: checkMove,
      atCreation: turn,
      beforeChange: (row, writing) => this.turnBack(row, writing),
    });
    this.store = {
      ...rows,
      put: async (shopId, id, dto) => {
        await this.turnGrinderBack(shopId, id, dto);
        return rows.put(shopId, id, dto);
      },
    };
  }

  /** Undone, the grinder stands again where it stood, unless somebody has turned it since. */
  private async turnBack(row: DayMove, { shopId, dto, transaction }: Writing<DayMove, DayMoveDto>): Promise<void> {
    if (row.answer !== 'turned' || row.undoneAt !== null || !dto.undoneAt) return;
    const station = await Station.findOne({ where: { shopId, id: row.stationId }, transaction, lock: true });
    if (!station) throw notFound('station');
    if (station.grind !== row.toGrind) {
      throw new Problem('conflict', 'The grinder was turned again since: set it by hand.', [
        { path: 'undoneAt', message: 'comes too late: the grinder stands elsewhere' },
      ]);
    }
    if (row.isKeeper) await this.holdKeeper(row, transaction);
    const { fromGrind: grind, fromGrindSeconds: grindSeconds } = row;
    await station.update({ grind, grindSeconds, revision: station.revision + 1 }, { transaction });
  }

  /** A turn of the closed loop, written as any other. */
  async turnByKeeper(shopId: string, id: string, dto: DayMoveDto): Promise<void> {
    await this.sequelize.transaction(async (transaction) => {
      const row = await this.store.write(shopId, id, dto, transaction);
      await row.update({ isKeeper: true }, { transaction });
    });
  }

  /** What the loop turned is turned back by the grinder itself, before anything is written. */
  private async turnGrinderBack(shopId: string, id: string, { undoneAt, revision }: DayMoveDto): Promise<void> {
    const row = undoneAt ? await DayMove.findOne({ where: { shopId, id, isKeeper: true, undoneAt: null } }) : null;
    if (!row) return;
    // What the write would be refused for turns nothing.
    requireSeen('move', revision, row.revision);
    const [station, { grinder }] = await Promise.all([
      Station.findOne({ where: { shopId, id: row.stationId } }),
      this.devices.turnable(shopId, row.stationId),
    ]);
    if (!grinder || station?.grind !== row.toGrind) return;
    // Held first: a look between the turn and the write would find the grinder elsewhere.
    await this.holdKeeper(row);
    const { ok, message } = await this.devices.command(shopId, grinder.id, 'set-grind', row.fromGrind!);
    if (!ok) throw new Problem('invalid', `${grinder.name} did not turn back: ${message ?? 'set it by hand'}.`);
  }

  /** Whoever takes back what the loop turned disagrees with it: it holds. */
  private async holdKeeper({ shopId, stationId }: DayMove, transaction?: Transaction): Promise<void> {
    // Counted up, so that a look which began before can no longer act.
    const held = { heldAt: this.clock.now(), heldWhy: 'taken-back', revision: literal('"revision" + 1') as never };
    await Keeper.update(held, { where: { shopId, id: stationId, isOn: true, heldAt: null }, transaction });
  }
}

function checkMove({ dto }: Writing<DayMove, DayMoveDto>): Promise<void> {
  if (dto.answer === 'turned' && dto.toGrind == null) {
    throw new Problem('invalid', 'A turn needs to say where the grinder stands.', [
      { path: 'toGrind', message: 'is missing: give a number' },
    ]);
  }
  return Promise.resolve();
}

async function turn({ shopId, dto, transaction }: Writing<DayMove, DayMoveDto>): Promise<object> {
  const station = await Station.findOne({ where: { shopId, id: dto.stationId }, transaction, lock: true });
  if (!station) throw notFound('station');
  if (dto.answer === 'left') return { fromGrind: null };
  const { grinderId, grind: fromGrind, grindSeconds: fromGrindSeconds, revision } = station;
  const grind = dto.toGrind!;
  await checkOnScale({ shopId, grinderId, grind, path: 'toGrind' }, transaction);
  const grindSeconds = dto.grindSeconds ?? fromGrindSeconds;
  if (!dto.undoneAt) await station.update({ grind, grindSeconds, revision: revision + 1 }, { transaction });
  return { fromGrind, fromGrindSeconds };
}
