import { readTrace, type TraceAnswer, type ValidTraceRequest } from '@olvet/core';
import { expose } from 'comlink';

/** Reads traces off the main thread: it has a picture to draw. */
const traceReader = {
  read: (request: ValidTraceRequest): TraceAnswer => readTrace(request),
};

export type TraceReader = typeof traceReader;

expose(traceReader);
