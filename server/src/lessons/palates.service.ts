import type { Palate } from '@olvet/core';
import { Injectable } from '@nestjs/common';
import { Op } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { notFound } from '../common/problem';
import { learnPalates } from './lessons';
import type { PalateDto, PalateView } from './palate.dto';
import { PersonPalate } from './palate.entity';

/** What is known of the people who taste. */
@Injectable()
export class PalatesService {
  constructor(private readonly sequelize: Sequelize) {}

  async list(shopId: string, people?: readonly string[]): Promise<PalateView[]> {
    if (people?.length === 0) return [];
    const rows = await PersonPalate.findAll({
      where: { shopId, ...(people ? { person: { [Op.in]: [...people] } } : {}) },
      order: [['person', 'ASC']],
      limit: 500,
    });
    return rows.flatMap(({ person, palate }) => (palate ? [viewOf(person, palate)] : []));
  }

  /** Begins again with this person: what they tasted before counts no more. */
  async forget(shopId: string, person: string, { forgetBefore }: PalateDto): Promise<void> {
    // No name holds a control character, and PostgreSQL would refuse a zero byte.
    // eslint-disable-next-line no-control-regex
    if (/[\u0000-\u001f]/.test(person)) throw notFound('taster');
    await this.sequelize.transaction(async (transaction) => {
      const known = await PersonPalate.findOne({ where: { shopId, person }, transaction, lock: true });
      if (!known) throw notFound('taster');
      await known.update({ forgetBefore: new Date(forgetBefore) }, { transaction });
      await learnPalates(shopId, [person], transaction);
    });
  }
}

/** What was kept before marks were learned has none. */
function viewOf(person: string, palate: Palate): PalateView {
  const { overall = null, sweetness = null } = palate.marks ?? {};
  return { person, ...palate, marks: overall || sweetness ? { overall, sweetness } : null };
}
