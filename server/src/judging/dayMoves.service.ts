import { Injectable } from '@nestjs/common';
import { Sequelize } from 'sequelize-typescript';
import { notFound, Problem } from '../common/problem';
import { createStore, type Store, type Writing } from '../common/store';
import { checkOnScale } from '../grinders/onScale';
import { Station } from '../stations/station.entity';
import type { DayMoveDto } from './dayMove.dto';
import { DayMove } from './dayMove.entity';

/** A turn and the station that stands there from then on are one write; so is the way back. */
@Injectable()
export class DayMovesService {
  readonly store: Store<DayMove, DayMoveDto>;

  constructor(sequelize: Sequelize) {
    this.store = createStore<DayMove, DayMoveDto>({
      sequelize,
      model: DayMove,
      what: 'move',
      order: [['at', 'DESC']],
      filters: ['stationId'],
      check: checkMove,
      atCreation: turn,
      beforeChange: turnBack,
    });
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
  const { grinderId, grind: fromGrind, revision } = station;
  const grind = dto.toGrind!;
  await checkOnScale({ shopId, grinderId, grind, path: 'toGrind' }, transaction);
  if (!dto.undoneAt) await station.update({ grind, revision: revision + 1 }, { transaction });
  return { fromGrind };
}

/** Undone, the grinder stands again where it stood, unless somebody has turned it since. */
async function turnBack(row: DayMove, { shopId, dto, transaction }: Writing<DayMove, DayMoveDto>): Promise<void> {
  if (row.answer !== 'turned' || row.undoneAt !== null || !dto.undoneAt) return;
  const station = await Station.findOne({ where: { shopId, id: row.stationId }, transaction, lock: true });
  if (!station) throw notFound('station');
  if (station.grind !== row.toGrind) {
    throw new Problem('conflict', 'The grinder was turned again since: set it by hand.', [
      { path: 'undoneAt', message: 'comes too late: the grinder stands elsewhere' },
    ]);
  }
  await station.update({ grind: row.fromGrind, revision: station.revision + 1 }, { transaction });
}
