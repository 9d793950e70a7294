export {
  chamberLoss,
  EASED_GRAMS,
  LEVER_BAR,
  leverPlan,
  leverWindow,
  RESCUE_WORDS,
  rescueNow,
  type LeverNow,
  type PressurePoint,
  type Rescue,
} from './leverPlan';
