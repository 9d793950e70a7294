import { Injectable } from '@nestjs/common';
import type { FieldError } from '@olvet/core';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../common/problem';
import { Store } from '../common/store';
import type { OpeningDto } from './opening.dto';
import { Opening } from './opening.entity';

@Injectable()
export class OpeningsService extends Store<Opening, OpeningDto> {
  constructor(sequelize: Sequelize) {
    super(sequelize, Opening, { what: 'opening', order: [['day', 'DESC']], filters: ['stationId'] });
  }

  protected override async check(_shopId: string, dto: OpeningDto): Promise<void> {
    const tomorrow = new Date(Date.now() + 24 * 3600 * 1000).toISOString().slice(0, 10);
    const errors: FieldError[] = [];
    if (dto.day > tomorrow) errors.push({ path: 'day', message: 'lies in the future: check the day' });
    if (dto.switchedOnAt && Date.parse(dto.switchedOnAt) > Date.now() + 24 * 3600 * 1000) {
      errors.push({ path: 'switchedOnAt', message: 'lies in the future: check the clock' });
    }
    if (errors.length > 0) throw new Problem('invalid', 'This opening cannot be right.', errors);
  }
}
