import { Dexie, type EntityTable } from 'dexie';
import type { ShotDto } from '../app/api';
import type { LivePull } from '../pull/livePull';

/** A shot that was saved and has not reached the server yet. */
export interface KeptShot {
  id: string;
  shotDto: ShotDto;
  keptAt: number;
  /** Why the server would not take it, once it has said so: a person decides then. */
  refused?: string;
}

/** What this tablet keeps for itself until the server has it. */
class TabletDb extends Dexie {
  declare pulls: EntityTable<LivePull, 'id'>;
  declare shots: EntityTable<KeptShot, 'id'>;

  constructor() {
    super('olvet');
    this.version(1).stores({ pulls: 'id, place', shots: 'id' });
  }
}

export const tabletDb = new TabletDb();

/** A storage that is full or forbidden costs what it would have kept, never the shot that runs. */
export async function ifItCan<T>(work: () => PromiseLike<T>, otherwise: T): Promise<T> {
  if (typeof indexedDB === 'undefined') return otherwise;
  try {
    return await work();
  } catch {
    return otherwise;
  }
}
