import { AsyncLocalStorage } from 'node:async_hooks';
import type { Sequelize } from 'sequelize-typescript';

/**
 * Throws where work inside a transaction asks for another connection: with as many such works at once as there are
 * connections, each would wait for the others for ever. For the tests, which meet every query there is.
 */
export function refuseSecondConnections(sequelize: Sequelize): void {
  const within = new AsyncLocalStorage<boolean>();
  const target = sequelize as unknown as Record<'transaction' | 'query', (...args: unknown[]) => Promise<unknown>>;
  const [transaction, query] = [target.transaction.bind(sequelize), target.query.bind(sequelize)];
  target.transaction = (...args) => {
    const work = args.at(-1) as (transaction: unknown) => Promise<unknown>;
    if (within.getStore()) throw new Error('a transaction is begun inside another one');
    return transaction(...args.slice(0, -1), (begun: unknown) => within.run(true, () => work(begun)));
  };
  target.query = (...args) => {
    const options = args[1] as { transaction?: unknown } | undefined;
    if (within.getStore() && !options?.transaction) {
      throw new Error(`a second connection is asked for inside a transaction: ${JSON.stringify(args[0])}`);
    }
    return query(...args);
  };
}
