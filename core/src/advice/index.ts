export { advise, answer, answerLine, whatIf } from './advise';
export {
  HAND_CHECKS,
  parseAdviceRequest,
  type AdviceRequest,
  type AdviceShot,
  type FieldError,
  type HandCheck,
  type LearnedCoffee,
  type LearnedMarks,
  type LearnedSlope,
  type LearnedTaster,
  type ValidAdviceRequest,
} from './request';
export type {
  Action,
  Advice,
  AdviceError,
  Alternative,
  Change,
  Expectation,
  Interval,
  Reason,
  Settings,
} from './answer';
export { changesBetween } from './changes';
export { DRY } from './problem';
export { buildAdviceRequest, combineTastings, SERVED_MARK, type SheetLike } from './buildRequest';
export { balanceWord, bodyWord, capital, oddsInWords, plainNumber } from './words';
export { reviewRun, type Believed, type Review, type ShotReview } from './review';
export { ownMark } from './marking';
export { moveLine, type MoveLine } from './moveLine';
