import { isDeepStrictEqual } from 'node:util';
import { Op, type Order, type Transaction, type WhereOptions } from 'sequelize';
import type { ModelCtor, Sequelize } from 'sequelize-typescript';
import type { Owned } from '../database/owned.model';
import { notFound, Problem } from './problem';
import type { ListQuery, Page } from './rows';
import { writeOnce } from './writeOnce';

const PAGE_SIZE = 50;

/** What a client writes: the DTO's fields and the revision last seen. */
export type Written = { revision?: number | null } & object;

export interface StoreOptions {
  /** The thing's plain name, for messages: "grinder". */
  what: string;
  order: Order;
  /** Query filters this list understands. */
  filters?: readonly ('coffeeId' | 'stationId' | 'runId' | 'grinderId' | 'basketId')[];
}

/**
 * The rows of one kind that a shop owns: paged lists and idempotent, revision-checked puts. Services with more to say
 * extend it.
 */
export abstract class Store<M extends Owned, D extends Written> {
  protected constructor(
    protected readonly sequelize: Sequelize,
    protected readonly model: ModelCtor<M>,
    private readonly options: StoreOptions,
  ) {}

  async list(shopId: string, query: ListQuery): Promise<Page<object>> {
    return this.rows(shopId, query);
  }

  protected async rows(shopId: string, query: ListQuery): Promise<Page<M>> {
    const page = query.page ?? 1;
    const pageSize = query.pageSize ?? PAGE_SIZE;
    const filters = (this.options.filters ?? []).flatMap((name) => (query[name] ? [[name, query[name]]] : []));
    const where = {
      shopId,
      ...this.listWhere(),
      ...this.inState(query.state),
      ...Object.fromEntries(filters),
    } as WhereOptions;
    const { rows, count } = await this.model.findAndCountAll({
      where,
      order: this.options.order,
      limit: pageSize,
      offset: (page - 1) * pageSize,
    });
    return { items: rows, total: count, page, pageSize };
  }

  private inState(state: ListQuery['state']): object {
    const end = ['retiredAt', 'finishedAt'].find((column) => column in this.model.getAttributes());
    if (!state || !end) return {};
    return { [end]: state === 'in-use' ? null : { [Op.ne]: null } };
  }

  async get(shopId: string, id: string, transaction?: Transaction): Promise<M> {
    const row = await this.find(shopId, id, transaction);
    if (!row) throw notFound(this.options.what);
    return row;
  }

  /** Writes once however often it is sent; refuses to overwrite what its author has not seen. */
  async put(shopId: string, id: string, dto: D, within?: Transaction): Promise<M> {
    if (within) return this.putWithin(shopId, id, dto, within);
    return writeOnce(this.sequelize, (transaction) => this.putWithin(shopId, id, dto, transaction));
  }

  /** Hidden rows of a list, for example retired ones. */
  protected listWhere(): object {
    return {};
  }

  /** Server-owned columns of a new row. */
  protected async atCreation(_shopId: string, _dto: D, _transaction: Transaction): Promise<object> {
    return {};
  }

  /** Called before a changed row is saved, inside the transaction. */
  protected async beforeChange(_row: M, _dto: D, _transaction: Transaction): Promise<void> {}

  /** Called after a row was made or changed, inside the transaction. */
  protected async afterWrite(_row: M, _transaction: Transaction): Promise<void> {}

  /** Rules that need more than the one object; throw a Problem. */
  protected async check(_shopId: string, _dto: D, _row: M | null, _transaction: Transaction): Promise<void> {}

  private async putWithin(shopId: string, id: string, dto: D, transaction: Transaction): Promise<M> {
    const { revision, ...given } = dto;
    const values = this.columnsOf(given);
    const row = await this.model.findOne({ where: { shopId, id } as WhereOptions, transaction, lock: true });
    if (!row) {
      await this.check(shopId, dto, null, transaction);
      const found = await this.atCreation(shopId, dto, transaction);
      const made = await this.model.create({ ...values, ...found, shopId, id } as never, { transaction });
      await this.afterWrite(made, transaction);
      return made;
    }
    if (this.isUnchanged(row, values)) return row;
    if (revision !== row.revision) {
      const message =
        revision == null
          ? 'is missing: this row exists already, send the revision you last saw'
          : `is ${revision}, but this was changed since (now ${row.revision}): load it again, then repeat your change`;
      throw new Problem('conflict', `Someone else changed this ${this.options.what} in the meantime.`, [
        { path: 'revision', message },
      ]);
    }
    await this.check(shopId, dto, row, transaction);
    await this.beforeChange(row, dto, transaction);
    await row.update({ ...values, revision: row.revision + 1 } as never, { transaction });
    await this.afterWrite(row, transaction);
    return row;
  }

  private find(shopId: string, id: string, transaction?: Transaction): Promise<M | null> {
    return this.model.findOne({ where: { shopId, id } as WhereOptions, transaction });
  }

  /** A put replaces the whole row: what it leaves out goes back to the column's default. */
  private columnsOf(given: object): Record<string, unknown> {
    const { shopId: _s, id: _i, revision: _r, createdAt: _c, updatedAt: _u, ...columns } = this.model.getAttributes();
    return Object.fromEntries(
      Object.entries(columns)
        .filter(([name]) => !this.serverOwned().includes(name))
        .map(([name, { defaultValue }]) => {
          const value = (given as Record<string, unknown>)[name];
          return [name, value ?? (defaultValue as unknown) ?? null];
        }),
    );
  }

  /** Columns only the server writes. */
  protected serverOwned(): readonly string[] {
    return [];
  }

  private isUnchanged(row: M, values: Record<string, unknown>): boolean {
    return Object.entries(values).every(([name, value]) => isDeepStrictEqual(plain(row.get(name)), plain(value)));
  }
}

/** Compared as JSON would carry them: dates as text, class instances as objects, nothing as null. */
function plain(value: unknown): unknown {
  if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)) return new Date(value).toISOString();
  return value == null ? null : (JSON.parse(JSON.stringify(value)) as unknown);
}
