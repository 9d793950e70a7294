import { Inject, Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import type { Match } from '@olvet/core';
import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { DatabaseError, type Client } from 'pg';
import { Piscina } from 'piscina';
import { Op, QueryTypes } from 'sequelize';
import { Sequelize } from 'sequelize-typescript';
import { v5, validate as isUuid } from 'uuid';
import { Clock } from '../clock/clock';
import { notFound, Problem } from '../common/problem';
import type { ListQuery, Page } from '../common/rows';
import { CONFIG, type Config } from '../config';
import { shown } from '../database/owned.model';
import { whoIsThere } from '../people/whoIsThere';
import type {
  ImportRowsQuery,
  ImportRowView,
  ImportView,
  MatchDto,
  RememberedMatchView,
  SinceImportView,
} from './import.dto';
import { Import, ImportMatch } from './import.entity';
import { CARD_FILES, cardText, type CardForm, type CardRow } from './cardsOut';
import type { ImportFile } from './readImport';
import { findTable } from './tables';
import { editedSince, hungOnSince, takeBackImport, takeImport } from './takeImport';
import { withClient, type TransferWork } from './transferWorker';

const PAGE_SIZE = 50;
/** An import can be taken back for so long; then its rows are the shop's own. */
export const TAKE_BACK_MS = 24 * 3600 * 1000;
/** Reading that was not heard of for so long was cut off with its server. */
const LOST_MS = 10 * 60 * 1000;
/** What takes longer than this goes on by itself; the page asks again. */
const PATIENCE_MS = 4000;

const CARD_TYPES: Record<CardForm, string> = { md: 'text/markdown', jsonld: 'application/ld+json' };
const extension = extname(__filename);

type Work = TransferWork extends infer W ? (W extends unknown ? Omit<W, 'databaseUrl' | 'now'> : never) : never;

@Injectable()
export class TransferService implements OnApplicationShutdown {
  private readonly logger = new Logger(TransferService.name);
  /** One at a time: a file with a million rows is read while the bar goes on. */
  private readonly thread = new Piscina({
    filename: join(__dirname, `transferWorker${extension}`),
    // Tests run the sources as they are; decorators need a compiler that keeps their types.
    execArgv: extension === '.ts' ? ['--require', join(__dirname, '../../../tools/testing/outside.cjs')] : [],
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
  });

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    private readonly sequelize: Sequelize,
    private readonly clock: Clock,
  ) {}

  /** A file on disk that whoever asked for it removes. */
  async zip(shopId: string): Promise<string> {
    const path = this.temporary();
    await this.run({ name: 'zip', shopId, path });
    return path;
  }

  /** One card as a file named after it. */
  async card(shopId: string, file: string): Promise<{ name: string; type: string; text: string }> {
    const [, id, form] = /^([0-9a-f-]{36})\.(md|jsonld)$/i.exec(file) ?? [];
    const [row] = isUuid(id)
      ? await this.sequelize.query<CardRow>(CARD_FILES, { bind: [shopId, id], type: QueryTypes.SELECT })
      : [];
    if (!row || !form) throw notFound('card');
    const text = cardText(row, form as CardForm);
    return { name: `${row.name}.${form}`, type: CARD_TYPES[form as CardForm], text };
  }

  async table(shopId: string, file: string): Promise<string> {
    const [, table, form] = /^([a-z_]+)\.(csv|json)$/.exec(file) ?? [];
    if (!table || !form || !findTable(table)) throw notFound('file');
    const path = this.temporary();
    await this.run({ name: 'table', shopId, path, table, form: form as 'csv' | 'json' });
    return path;
  }

  async list(shopId: string, { page = 1, pageSize = PAGE_SIZE }: ListQuery): Promise<Page<ImportView>> {
    const { rows, count } = await Import.findAndCountAll({
      where: { shopId },
      order: [['createdAt', 'DESC']],
      limit: pageSize,
      offset: (page - 1) * pageSize,
    });
    return { items: rows.map((row) => this.view(row)), total: count, page, pageSize };
  }

  async get(shopId: string, id: string): Promise<ImportView> {
    return this.view(await this.row(shopId, id));
  }

  async rows(shopId: string, id: string, query: ImportRowsQuery): Promise<Page<ImportRowView>> {
    await this.row(shopId, id);
    const { page = 1, pageSize = PAGE_SIZE, outcome } = query;
    const where = `WHERE "shopId" = :shopId AND "importId" = :id ${outcome ? 'AND "outcome" = :outcome' : ''}`;
    const replacements = { shopId, id, outcome, limit: pageSize, offset: (page - 1) * pageSize };
    const options = { replacements, type: QueryTypes.SELECT } as const;
    const [items, [total]] = await Promise.all([
      this.sequelize.query<ImportRowView>(
        `SELECT "seq"::integer, "file", "line", "outcome", coalesce("errors", '[]') AS errors FROM import_rows ${where}
         ORDER BY "seq" LIMIT :limit OFFSET :offset`,
        options,
      ),
      this.sequelize.query<{ n: number }>(`SELECT count(*)::integer AS n FROM import_rows ${where}`, options),
    ]);
    return { items, total: total!.n, page, pageSize };
  }

  /** Begins to read; sent again, it changes nothing. The files are removed once read. */
  async bring(shopId: string, id: string, files: ImportFile[], match: MatchDto | null): Promise<ImportView> {
    await this.forgetOld(shopId);
    const fileName = files
      .map(({ name }) => name)
      .join(', ')
      .slice(0, 200);
    const [, isNew] = await this.sequelize.query(
      `INSERT INTO imports ("shopId", "id", "fileName", "state", "changedBy") VALUES (:shopId, :id, :fileName, 'reading', :person)
       ON CONFLICT DO NOTHING`,
      { replacements: { shopId, id, fileName, person: whoIsThere() ?? '' }, type: QueryTypes.INSERT },
    );
    if (!isNew) {
      await removeAll(files);
      return this.get(shopId, id);
    }
    if (match) await this.remember(shopId, match);
    const reading = this.run({ name: 'read', shopId, importId: id, files }).finally(() => removeAll(files));
    reading.catch(async (error: unknown) => {
      this.logger.error({ err: error }, 'An import could not be read');
      await Import.update(
        { state: 'unreadable', problem: 'It could not be read. Send it again.' },
        { where: { shopId, id } },
      );
    });
    await Promise.race([reading.catch(() => {}), this.patience()]);
    return this.get(shopId, id);
  }

  /** Takes all that is new, or nothing. */
  async take(shopId: string, id: string): Promise<ImportView> {
    const row = await this.row(shopId, id);
    if (row.state === 'taken') return this.view(row);
    if (row.state !== 'read' && row.state !== 'taking')
      throw new Problem('conflict', 'There is nothing to take: it was not read, or taken back.');
    await Import.update({ state: 'taking', problem: null }, { where: { shopId, id, state: 'read' } });
    const person = whoIsThere() ?? '';
    const taking = this.withClient((client) => takeImport(client, shopId, id, person)).catch(async (error: unknown) => {
      await Import.update({ state: 'read', problem: inWords(error) }, { where: { shopId, id, state: 'taking' } });
      if (!(error instanceof DatabaseError)) this.logger.error({ err: error }, 'An import could not be taken');
    });
    await Promise.race([taking, this.patience()]);
    return this.get(shopId, id);
  }

  async since(shopId: string, id: string): Promise<SinceImportView> {
    await this.row(shopId, id);
    return this.withClient(async (client) => ({
      edited: await editedSince(client, shopId, id),
      hungOn: await hungOnSince(client, shopId, id),
    }));
  }

  /** Removes what it brought, as a whole, within a day. */
  async takeBack(shopId: string, id: string): Promise<ImportView> {
    const row = await this.row(shopId, id);
    if (row.state === 'taken-back') return this.view(row);
    const until = this.view(row).takeBackUntil;
    if (!until || Date.parse(until) < this.clock.now().getTime()) {
      throw new Problem('conflict', 'This can no longer be taken back: a day has passed, or it was never taken.');
    }
    const person = whoIsThere() ?? '';
    await this.withClient(async (client) => {
      const [hung] = await hungOnSince(client, shopId, id);
      if (hung) {
        throw new Problem(
          'conflict',
          `${hung.rows} rows of ${hung.table} were written since on what it brought: it stays.`,
        );
      }
      await takeBackImport(client, shopId, id, person);
    });
    return this.get(shopId, id);
  }

  async matches(shopId: string, { page = 1, pageSize = PAGE_SIZE }: ListQuery): Promise<Page<RememberedMatchView>> {
    const { rows, count } = await ImportMatch.findAndCountAll({
      where: { shopId },
      order: [['updatedAt', 'DESC']],
      limit: pageSize,
      offset: (page - 1) * pageSize,
    });
    const items = rows.map((row) => ({
      ...shown(row.toJSON<ImportMatch>()),
      headers: JSON.parse(row.headers) as string[],
    }));
    return { items: items as unknown as RememberedMatchView[], total: count, page, pageSize };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.thread.destroy();
  }

  private async remember(shopId: string, match: MatchDto): Promise<void> {
    const headers = JSON.stringify(match.columns.map(({ header }) => header));
    const values = { shopId, id: v5(headers, shopId), headers, match };
    const known = await ImportMatch.findOne({ where: { shopId, headers } });
    if (known) await known.update({ match: match as never });
    else await ImportMatch.create(values as never);
  }

  /** Rows of what can no longer be taken, or taken back, need not be kept. */
  private async forgetOld(shopId: string): Promise<void> {
    const before = new Date(this.clock.now().getTime() - TAKE_BACK_MS);
    await this.sequelize.query(
      `DELETE FROM import_rows r USING imports i WHERE r."shopId" = :shopId AND i."shopId" = r."shopId" AND i."id" = r."importId"
         AND coalesce(i."takenAt", i."createdAt") < :before`,
      { replacements: { shopId, before } },
    );
    // Without its rows it can no longer be taken, and says so.
    await Import.update(
      { state: 'unreadable', problem: 'It was read more than a day ago. Send it again.' },
      { where: { shopId, state: 'read', createdAt: { [Op.lt]: before } } },
    );
  }

  private async row(shopId: string, id: string): Promise<Import> {
    const row = await Import.findOne({ where: { shopId, id } });
    if (!row) throw notFound('import');
    return row;
  }

  private view(row: Import): ImportView {
    const { shop: _shop, ...seen } = shown(row.toJSON<Import>());
    const isLost = row.state === 'reading' && this.clock.now().getTime() - row.updatedAt.getTime() > LOST_MS;
    const tables = (row.tables ?? []).map(
      ({ table, outcomes: { new: fresh = 0, same = 0, alike = 0, differs = 0, refused = 0 } }) => ({
        ...{ table, fresh, here: same + alike, differing: differs, refused },
      }),
    );
    const isTaken = row.state === 'taken' && row.takenAt !== null;
    return {
      ...seen,
      ...(isLost ? { state: 'unreadable', problem: 'Reading was cut off. Send it again.' } : {}),
      tables,
      notRead: row.notRead ?? [],
      takeBackUntil: isTaken ? new Date(row.takenAt!.getTime() + TAKE_BACK_MS).toISOString() : null,
    } as ImportView;
  }

  private run(work: Work): Promise<void> {
    const whole = { ...work, databaseUrl: this.config.databaseUrl, now: this.clock.now().getTime() } as TransferWork;
    return this.thread.run(whole) as Promise<void>;
  }

  private withClient<T>(work: (client: Client) => Promise<T>): Promise<T> {
    return withClient(this.config.databaseUrl, work);
  }

  private patience(): Promise<void> {
    return new Promise((resolve) => setTimeout(resolve, PATIENCE_MS).unref());
  }

  private temporary(): string {
    return join(tmpdir(), `olvet-${randomUUID()}`);
  }
}

const removeAll = async (files: readonly ImportFile[]): Promise<void> => {
  await Promise.all(files.map(({ path }) => rm(path, { force: true })));
};

/** What the database says against a row, to whoever brought it. */
function inWords(error: unknown): string {
  if (!(error instanceof DatabaseError)) return 'It could not be taken; nothing was changed. Try again.';
  const { code, table, detail } = error;
  const why =
    code === '23505'
      ? 'Two rows claim the same place'
      : code === '23503'
        ? 'A row refers to one that is not there'
        : 'A row breaks a rule';
  return `${why} in ${table ?? 'the file'}${detail ? ` (${detail})` : ''}. Nothing was changed: correct the file and send it again.`;
}

/** The match as its reader takes it. */
export function matchOf({ columns, stationId, newRoast, ...rest }: MatchDto): Match {
  return {
    ...rest,
    columns: columns.map(({ column }) => column ?? null),
    stationId: stationId ?? null,
    newRoast: newRoast ?? null,
  };
}
