export * from './types';
export { brewRatio, extractionYieldPercent } from './ratio';
export {
  celsiusFromFahrenheit,
  ML_PER_GRAM,
  fahrenheitFromCelsius,
  gramsFromMillilitres,
  millilitresFromGrams,
  ML_PER_OUNCE,
} from './units';
export { LIMITS, MOST_EXTRACTED_PERCENT, MOST_SIGNS, type Limit } from './limits';
export { DOUBTED_FIGURES, doubtsOf, type Doubt, type DoubtedFigure } from './doubts';
export { OFF_PLAN, offPlan, type OffPlan } from './offPlan';
export { convertTime, type ConvertTimeInput } from './convertTime';
export { findable, smallestTurn } from './collar';
export { clamp, roundTo, SMALLEST_STEP, snap, type Scale } from './snap';
export { completeRatio, RATIO_STYLES, ratioStyle, type RatioParts, type RatioStyle } from './ratioDesk';
export { classicCups, eachOfTwo, glassOfGrams, gramsInGlass, type Roughly } from './oldHabits';
