import {
  answer,
  parseAdviceRequest,
  reviewRun,
  whatIf,
  type Advice,
  type AdviceError,
  type AdviceRequest,
  type Expectation,
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
  review(request: AdviceRequest): Review | null {
    const parsed = parseAdviceRequest(request);
    return parsed.ok ? reviewRun(parsed.request) : null;
  },
};

export type Heart = typeof heart;

expose(heart);
