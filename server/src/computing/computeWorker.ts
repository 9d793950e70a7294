import { advise, lessonOf, type ValidAdviceRequest } from '@olvet/core';

const COMPUTATIONS = { advice: advise, lesson: lessonOf };

export type Computations = typeof COMPUTATIONS;

export interface Work {
  name: keyof Computations;
  request: ValidAdviceRequest;
}

/** What a worker thread does: one of core's own functions, on plain data. The pool's library asks for a default export. */
export default function compute({ name, request }: Work): unknown {
  return COMPUTATIONS[name](request);
}
