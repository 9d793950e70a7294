import { wrap, type Remote } from 'comlink';
import type { Heart } from './adviceWorker';

let remote: Remote<Heart> | null = null;

/** The advice worker, started on first use and kept. */
export function heart(): Remote<Heart> {
  remote ??= wrap<Heart>(new Worker(new URL('./adviceWorker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
