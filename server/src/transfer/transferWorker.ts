import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Client } from 'pg';
import { createSequelize } from '../database/database.module';
import { exportShop, type Told } from './exportShop';
import { readImport, type ImportFile } from './readImport';
import { csvOf, jsonRowsOf } from './rowsOut';
import { findTable } from './tables';

interface Common {
  databaseUrl: string;
  shopId: string;
  /** Milliseconds since 1970. */
  now: number;
}

export type TransferWork = Common &
  (
    | { name: 'zip'; path: string }
    | { name: 'table'; table: string; form: 'csv' | 'json'; path: string }
    | { name: 'read'; importId: string; files: ImportFile[] }
  );

let modelsAreKnown = false;

/** A connection of its own for work that may take minutes: no limit of time holds it. */
export async function withClient<T>(databaseUrl: string, work: (client: Client) => Promise<T>): Promise<T> {
  // Columns are read off the models; this opens nothing.
  if (!modelsAreKnown) createSequelize(databaseUrl);
  modelsAreKnown = true;
  const client = new Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** What the transfer thread does, so that a large file keeps nobody waiting. The pool's library asks for a default export. */
export default function transfer(work: TransferWork, told?: Told): Promise<void> {
  const { databaseUrl, shopId } = work;
  const now = new Date(work.now);
  return withClient(databaseUrl, async (client) => {
    if (work.name === 'zip') {
      const { stream, done } = exportShop(client, shopId, now, told);
      await Promise.all([pipeline(stream, createWriteStream(work.path)), done]);
    } else if (work.name === 'table') {
      const rows = (work.form === 'csv' ? csvOf : jsonRowsOf)(client, shopId, findTable(work.table)!);
      await pipeline(Readable.from(rows), createWriteStream(work.path));
    } else {
      await readImport({ client, shopId, importId: work.importId, now }, work.files, told);
    }
  });
}
