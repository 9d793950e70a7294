import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { createSequelize } from '../database/database.module';
import { MODELS } from '../database/models';
import { columnsOf } from './columns';
import { NOT_LEAVING, SHOP_TABLE, TABLES } from './tables';

beforeAll(() => createSequelize('postgres://nobody@127.0.0.1:1/none'));

describe('the open formats', () => {
  const document = readFileSync(resolve(__dirname, '../../../docs/formats.md'), 'utf8');

  it.each([SHOP_TABLE, ...TABLES])('are documented column by column: $name', (table) => {
    const part = document.split(`### ${table.name}.csv`)[1]!.split('###')[0]!;
    const named = [...part.matchAll(/`([a-z0-9_]+)`/g)].map(([, name]) => name);
    expect(named).toEqual(columnsOf(table).map(({ header }) => header));
    expect(part).toContain(table.view);
  });

  it('have every table, but for those that may not leave', () => {
    const names = [SHOP_TABLE, ...TABLES].map(({ name }) => name);
    const models = MODELS.map((model) => model.getTableName() as string);
    expect([...names, ...Object.keys(NOT_LEAVING)].sort()).toEqual(models.sort());
  });
});
