export {
  TRACE_COLUMNS,
  TRACE_EVENTS,
  type Interval,
  type TraceAnswer,
  type TraceEventKind,
  type TracePhase,
  type TraceRequest,
  type TraceSummary,
  type ValidTraceRequest,
} from './contract';
export { ofThisCup, parseTraceRequest, readTrace, SOAK_BY_COVER, type ParsedTraceRequest } from './readTrace';
export { traceLine } from './traceLine';
export {
  learnStop,
  parseStoredTrace,
  PULL_MARKS,
  requestOf,
  tracedOf,
  type LearnedStop,
  type PullMark,
  type PullMarkKind,
  type StoredTrace,
  type Traced,
} from './stored';
export { tableOfTrace, traceFromTable, type LineError, type ReadTable } from './table';
export { streamOf, type Stream } from './streamOf';
