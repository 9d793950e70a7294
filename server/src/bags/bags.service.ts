import { Injectable } from '@nestjs/common';
import { shopDay, type FieldError } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { Clock } from '../clock/clock';
import { Problem } from '../common/problem';
import { createStore, type Store, type Writing } from '../common/store';
import { ShopService } from '../shop/shop.service';
import type { BagDto } from './bag.dto';
import { Bag } from './bag.entity';

@Injectable()
export class BagsService {
  readonly store: Store<Bag, BagDto>;

  constructor(
    sequelize: Sequelize,
    private readonly shops: ShopService,
    private readonly clock: Clock,
  ) {
    this.store = createStore({
      sequelize,
      model: Bag,
      what: 'bag',
      order: [
        ['roastedOn', 'DESC'],
        ['createdAt', 'DESC'],
      ],
      filters: ['coffeeId'],
      check: checkBag,
      atCreation: (writing) => this.opened(writing),
      beforeChange: async (row, writing) => void row.set(await this.opened(writing)),
    });
  }

  /** Opened today means now; of an earlier day only the day is known. */
  private async opened({ shopId, dto, row, transaction }: Writing<Bag, BagDto>): Promise<{ openedAt?: Date | null }> {
    const openedOn = dto.openedOn ?? null;
    if (openedOn === (row?.openedOn ?? null)) return {};
    const now = this.clock.now();
    return { openedAt: openedOn === shopDay(now, await this.shops.hours(shopId, transaction)) ? now : null };
  }
}

async function checkBag({ dto }: Writing<Bag, BagDto>): Promise<void> {
  const errors: FieldError[] = [];
  if (dto.roastedOn && dto.openedOn && dto.openedOn < dto.roastedOn) {
    errors.push({ path: 'openedOn', message: 'must not be before the day of roast' });
  }
  errors.push(...frozenErrors(dto));
  if ((dto.weighedGrams == null) !== (dto.weighedAt == null)) {
    const path = dto.weighedGrams == null ? 'weighedGrams' : 'weighedAt';
    errors.push({ path, message: 'is missing: weight and time of a weighing belong together' });
  }
  if (dto.weighedGrams != null && dto.weighedGrams > dto.weightGrams) {
    errors.push({ path: 'weighedGrams', message: 'must not be above what the full bag held' });
  }
  if (errors.length > 0) throw new Problem('invalid', 'This bag cannot be right.', errors);
}

/** Each spell begins after roasting and after the one before has ended, and only the last may still go on. */
function frozenErrors(dto: BagDto): FieldError[] {
  const spells = dto.frozen ?? [];
  return spells.flatMap(({ from, to }, i) => {
    const path = `frozen[${i}]`;
    const before = spells[i - 1];
    const errors: FieldError[] = [];
    if (dto.roastedOn && from < dto.roastedOn) {
      errors.push({ path: `${path}.from`, message: 'must not be before the day of roast' });
    }
    if (before && (before.to == null || from < before.to)) {
      errors.push({ path: `${path}.from`, message: 'must not be before the spell before it has ended' });
    }
    if (to && to < from) errors.push({ path: `${path}.to`, message: 'must not be before the day it was frozen' });
    return errors;
  });
}
