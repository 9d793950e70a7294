import { Pool, type PoolConfig } from 'pg';

/** A pool that says what its connections come to: without a listener, one that the database ends would end the process. */
export function heardPool(options: PoolConfig, onError: (error: Error) => void): Pool {
  const pool = new Pool(options);
  pool.on('error', onError);
  pool.on('connect', (client) => void client.on('error', onError));
  return pool;
}
