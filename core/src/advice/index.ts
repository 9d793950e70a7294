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
} from '../contract/request';
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
} from '../contract/answer';
export { changesBetween } from '../contract/changes';
export { DRY } from '../belief/pour';
export { buildAdviceRequest, combineTastings, SERVED_MARK, type SheetLike } from './buildRequest';
export { balanceWord, bodyWord, capital, oddsInWords, plainNumber } from './words/words';
export { reviewRun, type Believed, type Review, type ShotReview } from './review';
export { ownMark } from '../belief/marking';
export { moveLine, type MoveLine } from './words/moveLine';
