import { wrap, type Remote } from 'comlink';
import type { TraceReader } from './traceWorker';

let remote: Remote<TraceReader> | null = null;

/** The worker that reads traces, started on first use and kept. */
export function traceReader(): Remote<TraceReader> {
  remote ??= wrap<TraceReader>(new Worker(new URL('./traceWorker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
