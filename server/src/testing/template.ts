import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { Client } from 'pg';
import { createSequelize } from '../database/database.module';
import { migrate } from '../database/migrate';

/** Held while the template is made or copied: a database somebody is connected to cannot be copied. */
const TEMPLATE_LOCK = 491_526;
const MIGRATIONS = resolve(__dirname, '../../migrations');

/** Another one for every other set of migrations, so that a database server that outlives a run never gives an old schema. */
const TEMPLATE = `jest_template_${readdirSync(MIGRATIONS)
  .sort()
  .reduce((hash, file) => hash.update(readFileSync(resolve(MIGRATIONS, file))), createHash('sha1'))
  .digest('hex')
  .slice(0, 12)}`;

/** A database with the whole schema, copied from one that is migrated once for all specs: a tenth of the work. */
export async function createFromTemplate(address: string, name: string): Promise<void> {
  const client = new Client({ connectionString: address });
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [TEMPLATE_LOCK]);
    const { rowCount } = await client.query('SELECT FROM pg_database WHERE datname = $1 AND datistemplate', [TEMPLATE]);
    if (rowCount === 0) await makeTemplate(client, address);
    await client.query(`CREATE DATABASE ${name} TEMPLATE ${TEMPLATE}`);
  } finally {
    await client.end();
  }
}

/** It counts as a template only once it is whole. */
async function makeTemplate(client: Client, address: string): Promise<void> {
  await client.query(`DROP DATABASE IF EXISTS ${TEMPLATE}`);
  await client.query(`CREATE DATABASE ${TEMPLATE}`);
  const url = new URL(address);
  url.pathname = `/${TEMPLATE}`;
  const sequelize = createSequelize(url.href);
  await migrate(sequelize);
  await sequelize.close();
  await client.query(`ALTER DATABASE ${TEMPLATE} IS_TEMPLATE true`);
}
