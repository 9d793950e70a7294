import { Cluster } from './cluster';

/** A database server for tests alone, made before the work and gone after it, however that ends. */
export async function withTestDatabase<T>(home: string, work: (address: string) => Promise<T>): Promise<T> {
  const cluster = new Cluster(home, 'test-database', { safe: false });
  cluster.remove();
  const stop = (): void => {
    cluster.remove();
    process.exit(130);
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
  try {
    return await work(await cluster.start());
  } finally {
    cluster.remove();
  }
}
