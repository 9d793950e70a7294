export { carry, type AnsweringGrinder, type CarriedStart } from './carry';
export { driftedStart, type DriftedStartInput } from './driftedStart';
export { judgedStart, type JudgedStartInput } from './judgedStart';
export { middleOfLast, stationState, type StationState, type StationStateInput } from './stationState';
export {
  EFFECTS,
  learnEffects,
  THUMB,
  type EffectName,
  type EffectShot,
  type LearnedEffect,
  type LearnedEffects,
} from './effects';
export { foundTime, spreadInService, type FoundTime } from './foundTime';
export {
  FIRST_KEEPER,
  FLUSH_SECONDS,
  HOLD_REASONS,
  keeperStep,
  WAIT_REASONS,
  type HoldReason,
  type KeeperFacts,
  type KeeperLimits,
  type KeeperStep,
  type WaitReason,
} from './keeper';
