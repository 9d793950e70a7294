import { resolve } from 'node:path';
import { Cluster } from './cluster';

/** Database and state; another folder where a second Olvet is to run beside the first. */
export const HOME = resolve(process.env.OLVET_HOME || '.olvet');

/** The address of the shop's database for the time of `work`, whether Olvet runs or not: what was started for it is stopped again. */
export async function withOwnDatabase<T>(work: (databaseUrl: string) => Promise<T>): Promise<T> {
  if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
  const cluster = new Cluster(HOME, 'database', { safe: true });
  const wasRunning = cluster.isRunning;
  const databaseUrl = await cluster.start({ isQuiet: true });
  try {
    return await work(databaseUrl);
  } finally {
    if (!wasRunning) cluster.stop();
  }
}
