import { isDeepStrictEqual } from 'node:util';
import { Op, type Order, type Transaction, type WhereOptions } from 'sequelize';
import type { ModelCtor, Sequelize } from 'sequelize-typescript';
import { shown, type Owned, type Shown } from '../database/owned.model';
import { serverOwnedOf } from '../database/serverOwned';
import { notFound, Problem } from './problem';
import type { ListQuery, Page } from './rows';
import { writeOnce } from './writeOnce';

const PAGE_SIZE = 50;

/** What a client writes: the DTO's fields and the revision last seen. */
export type Written = { revision?: number | null } & object;

/** One write as its rules see it; `row` is what stands, null where it is new. */
export interface Writing<M, D> {
  shopId: string;
  dto: D;
  row: M | null;
  transaction: Transaction;
}

export interface StoreOptions<M extends Owned, D extends Written> {
  sequelize: Sequelize;
  model: ModelCtor<M>;
  /** The thing's plain name, for messages: "grinder". */
  what: string;
  order: Order;
  /** Query filters this list understands. */
  filters?: readonly ('coffeeId' | 'stationId' | 'runId' | 'grinderId' | 'basketId')[];
  /** The only rows a list shows, for example those not removed. */
  listed?: WhereOptions;
  /** How many rows there are, where that is known without counting them; null where it is not. */
  total?(shopId: string, query: ListQuery): Promise<number> | null;
  /** Rules that need more than the one object; throws a Problem. */
  check?(writing: Writing<M, D>): Promise<void>;
  /** Server-owned columns of a new row. */
  atCreation?(writing: Writing<M, D>): Promise<object>;
  /** Called before a changed row is saved, inside the transaction. */
  beforeChange?(row: M, writing: Writing<M, D>): Promise<void>;
  /** Called after a row was made or changed, inside the transaction. */
  afterWrite?(row: M, transaction: Transaction): Promise<void>;
}

/** What the routes of a resource need: `V` is what a client reads. */
export interface Resource<D extends Written, V, L = V> {
  list(shopId: string, query: ListQuery): Promise<Page<L>>;
  get(shopId: string, id: string): Promise<V>;
  put(shopId: string, id: string, dto: D): Promise<V>;
}

/** The rows of one kind that a shop owns: paged lists and idempotent, revision-checked puts. */
export interface Store<M extends Owned, D extends Written> extends Resource<D, Shown<M>> {
  /** One page of a list. */
  rows(shopId: string, query: ListQuery): Promise<Page<M>>;
  /** Throws a Problem where there is no such row. */
  row(shopId: string, id: string): Promise<M>;
  /** Writes once however often it is sent; refuses to overwrite what its author has not seen. */
  write(shopId: string, id: string, dto: D, within?: Transaction): Promise<M>;
}

export function createStore<M extends Owned, D extends Written>(options: StoreOptions<M, D>): Store<M, D> {
  const { sequelize, model, what } = options;
  const written = writtenColumns(model);

  async function rows(shopId: string, query: ListQuery): Promise<Page<M>> {
    const { page = 1, pageSize = PAGE_SIZE } = query;
    const filters = (options.filters ?? []).flatMap((name) => (query[name] ? [[name, query[name]]] : []));
    const where = {
      shopId,
      ...(options.listed as object),
      ...inState(model, query.state),
      ...Object.fromEntries(filters),
    } as WhereOptions;
    const [items, total] = await Promise.all([
      model.findAll({ where, order: options.order, limit: pageSize, offset: (page - 1) * pageSize }),
      options.total?.(shopId, query) ?? model.count({ where }),
    ]);
    return { items, total, page, pageSize };
  }

  async function row(shopId: string, id: string): Promise<M> {
    const found = await model.findOne({ where: { shopId, id } as WhereOptions });
    if (!found) throw notFound(what);
    return found;
  }

  async function writeWithin(shopId: string, id: string, dto: D, transaction: Transaction): Promise<M> {
    const values = valuesOf(dto, written);
    const before = await model.findOne({ where: { shopId, id } as WhereOptions, transaction, lock: true });
    const writing = { shopId, dto, row: before, transaction };
    if (!before) {
      await options.check?.(writing);
      const found = await options.atCreation?.(writing);
      const made = await model.create({ ...values, ...found, shopId, id } as never, { transaction });
      await options.afterWrite?.(made, transaction);
      return made;
    }
    if (isUnchanged(before, values)) return before;
    requireSeen(what, dto.revision, before.revision);
    await options.check?.(writing);
    await options.beforeChange?.(before, writing);
    await before.update({ ...values, revision: before.revision + 1 } as never, { transaction });
    await options.afterWrite?.(before, transaction);
    return before;
  }

  function write(shopId: string, id: string, dto: D, within?: Transaction): Promise<M> {
    if (within) return writeWithin(shopId, id, dto, within);
    return writeOnce(sequelize, (transaction) => writeWithin(shopId, id, dto, transaction));
  }

  return {
    rows,
    row,
    write,
    list: async (shopId, query) => {
      const page = await rows(shopId, query);
      return { ...page, items: page.items.map(shown) };
    },
    get: async (shopId, id) => shown(await row(shopId, id)),
    put: async (shopId, id, dto) => shown(await write(shopId, id, dto)),
  };
}

/** Refuses a change whose author has not seen what stands. */
export function requireSeen(what: string, seen: number | null | undefined, now: number): void {
  if (seen === now) return;
  const message =
    seen == null
      ? 'is missing: this row exists already, send the revision you last saw'
      : `is ${seen}, but this was changed since (now ${now}): load it again, then repeat your change`;
  throw new Problem('conflict', `Someone else changed this ${what} in the meantime.`, [{ path: 'revision', message }]);
}

/** Rows end by being retired or finished. */
function inState(model: ModelCtor<Owned>, state: ListQuery['state']): object {
  const end = ['retiredAt', 'finishedAt'].find((column) => column in model.getAttributes());
  if (!state || !end) return {};
  return { [end]: state === 'in-use' ? null : { [Op.ne]: null } };
}

type Columns = readonly (readonly [name: string, defaultValue: unknown])[];

/** Columns a client writes, each with what stands where it is left out. */
function writtenColumns(model: ModelCtor<Owned>): Columns {
  const own = serverOwnedOf(model);
  return Object.entries(model.getAttributes())
    .filter(([name]) => !own.includes(name))
    .map(([name, { defaultValue }]) => [name, (defaultValue as unknown) ?? null]);
}

/** A put replaces the whole row: what it leaves out goes back to the column's default. */
function valuesOf(dto: object, columns: Columns): Record<string, unknown> {
  const given = dto as Record<string, unknown>;
  return Object.fromEntries(columns.map(([name, otherwise]) => [name, given[name] ?? otherwise]));
}

function isUnchanged(row: Owned, values: Record<string, unknown>): boolean {
  return Object.entries(values).every(([name, value]) => isDeepStrictEqual(plain(row.get(name)), plain(value)));
}

/** Compared as JSON would carry them: dates as text, class instances as objects, nothing as null. */
function plain(value: unknown): unknown {
  if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)) return new Date(value).toISOString();
  return value == null ? null : (JSON.parse(JSON.stringify(value)) as unknown);
}
