import { P } from './parameters';

/**
 * How a liking scale falls off: its parameters, their places in the vector, how much body counts beside balance, and how a
 * cup as wanted is usually marked.
 */
export interface LikingScale {
  best: 'overallBest' | 'sweetBest';
  loss: 'overallLoss' | 'sweetLoss';
  atBest: number;
  atLogLoss: number;
  bodyWeight: number;
  usualBest: number;
}

export const OVERALL: LikingScale = {
  best: 'overallBest',
  loss: 'overallLoss',
  atBest: P.overallBest,
  atLogLoss: P.logOverallLoss,
  bodyWeight: 0.5,
  usualBest: 8.3,
};
export const SWEETNESS: LikingScale = {
  best: 'sweetBest',
  loss: 'sweetLoss',
  atBest: P.sweetBest,
  atLogLoss: P.logSweetLoss,
  bodyWeight: 0.1,
  usualBest: 7.5,
};

export const LIKING = { overall: OVERALL, sweetness: SWEETNESS } as const;
export type LikingScaleName = keyof typeof LIKING;
