import {
  advise,
  answer,
  moveLine,
  parseAdviceRequest,
  reviewRun,
  whatIf,
  type Advice,
  type AdviceError,
  type AdviceRequest,
  type Expectation,
  type MoveLine,
  type Review,
  type Settings,
} from '@olvet/core';
import { expose } from 'comlink';

/** The heart, off the main thread: the page never waits for it. */
const heart = {
  answer(request: AdviceRequest): Advice | AdviceError {
    return answer(request);
  },
  whatIf(request: AdviceRequest, settings: Settings): Expectation | null {
    const parsed = parseAdviceRequest(request);
    return parsed.ok ? whatIf(parsed.request, settings) : null;
  },
  /** What would have been said after each shot, the first line before any. */
  replay(request: AdviceRequest): MoveLine[] {
    const parsed = parseAdviceRequest(request);
    if (!parsed.ok) return [];
    const { shots, grinder } = parsed.request;
    return Array.from({ length: shots.length + 1 }, (_, n) =>
      moveLine(advise({ ...parsed.request, shots: shots.slice(0, n) }), grinder.finer),
    );
  },
  review(request: AdviceRequest): Review | null {
    const parsed = parseAdviceRequest(request);
    return parsed.ok ? reviewRun(parsed.request) : null;
  },
};

export type Heart = typeof heart;

expose(heart);
