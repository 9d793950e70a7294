import { Injectable } from '@nestjs/common';
import type { HoldReason } from '@olvet/core';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { notFound, Problem } from '../common/problem';
import { createStore, type Store } from '../common/store';
import { shown } from '../database/owned.model';
import type { KeeperDto, KeeperView } from './keeper.dto';
import { Keeper } from './keeper.entity';

/** What leads allow, and who stopped it. */
@Injectable()
export class KeepersService {
  readonly store: Store<Keeper, KeeperDto>;

  constructor(
    sequelize: Sequelize,
    private readonly clock: Clock,
  ) {
    this.store = createStore<Keeper, KeeperDto>({
      sequelize,
      model: Keeper,
      what: 'keeper',
      order: [['createdAt', 'ASC']],
      check: ({ dto }) => {
        if ((dto.quietFrom == null) !== (dto.quietUntil == null)) {
          const path = dto.quietFrom == null ? 'quietFrom' : 'quietUntil';
          throw new Problem('invalid', 'Quiet hours have two ends.', [
            { path, message: 'is missing: give both or none' },
          ]);
        }
        return Promise.resolve();
      },
      atCreation: () => Promise.resolve({ lookedAt: clock.now() }),
      // Switched on again, whoever did it has looked.
      beforeChange: (row, { dto }) => {
        if (dto.isOn && !row.isOn) row.set({ heldAt: null, heldWhy: null, lookedAt: clock.now() });
        return Promise.resolve();
      },
    });
  }

  /** A person stops it; a loop that holds already stays as it is. */
  async hold(shopId: string, id: string): Promise<KeeperView> {
    const row = await this.row(shopId, id);
    if (row.heldAt === null) await this.holdFor(row, 'by-hand');
    return view(row);
  }

  async goOn(shopId: string, id: string): Promise<KeeperView> {
    const row = await this.row(shopId, id);
    const revision = row.revision + 1;
    if (row.heldAt !== null) await row.update({ heldAt: null, heldWhy: null, lookedAt: this.clock.now(), revision });
    return view(row);
  }

  /** It holds, for this reason, until a person lets it go on. */
  async holdFor(row: Keeper, heldWhy: HoldReason, transaction?: Transaction): Promise<void> {
    await row.update({ heldAt: this.clock.now(), heldWhy, revision: row.revision + 1 }, { transaction });
  }

  private async row(shopId: string, id: string): Promise<Keeper> {
    const row = await Keeper.findOne({ where: { shopId, id } });
    if (!row) throw notFound('keeper');
    return row;
  }
}

function view(row: Keeper): KeeperView {
  return shown(row.toJSON()) as unknown as KeeperView;
}
