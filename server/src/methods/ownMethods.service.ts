import { Injectable } from '@nestjs/common';
import { findMethod, methodSchema, type Method } from '@olvet/core';
import type { Transaction } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../common/problem';
import { createStore, type Store } from '../common/store';
import { shown } from '../database/owned.model';
import type { OwnMethodDto } from './ownMethod.dto';
import { OwnMethod } from './ownMethod.entity';

/** Methods of the shop's own. */
@Injectable()
export class OwnMethodsService {
  readonly store: Store<OwnMethod, OwnMethodDto>;

  constructor(sequelize: Sequelize) {
    const rows = createStore<OwnMethod, OwnMethodDto>({
      sequelize,
      model: OwnMethod,
      what: 'method',
      order: [['name', 'ASC']],
    });
    this.store = {
      ...rows,
      put: async (shopId, id, dto) => shown(await rows.write(shopId, id, named(id, dto))),
    };
  }
}

/** The method bears its row's id, the row its method's name, and what was left out is what the methods take for granted. */
function named(id: string, dto: OwnMethodDto): OwnMethodDto {
  return Object.assign({}, dto, { method: { ...methodSchema.parse(dto.method), id }, name: dto.method.name });
}

/** The whole method where it is the shop's own, null for one that ships. */
export async function ownMethod(shopId: string, methodId: string): Promise<Method | null> {
  if (findMethod(methodId)) return null;
  const row = await OwnMethod.findOne({ where: { shopId, id: methodId } });
  return row?.method ?? null;
}

/** Refuses a method that is neither shipped nor the shop's own. */
export async function checkMethod(shopId: string, methodId: string, transaction: Transaction): Promise<void> {
  if (findMethod(methodId)) return;
  if ((await OwnMethod.count({ where: { shopId, id: methodId }, transaction })) > 0) return;
  throw new Problem('invalid', 'There is no such method.', [
    { path: 'methodId', message: 'is neither a method that ships nor one of your own' },
  ]);
}
