import { wrap, type Remote } from 'comlink';
import type { Heart } from './adviceWorker';

let remote: Remote<Heart> | null = null;
let historian: Remote<Heart> | null = null;

function start(): Remote<Heart> {
  return wrap<Heart>(new Worker(new URL('./adviceWorker.ts', import.meta.url), { type: 'module' }));
}

/** The advice worker, started on first use and kept. */
export function heart(): Remote<Heart> {
  remote ??= start();
  return remote;
}

/** A second one for looking back on a whole run, so that a what-if never waits behind it. */
export function historianHeart(): Remote<Heart> {
  historian ??= start();
  return historian;
}
