export { OPENING_STEPS, type OpeningStep } from './steps';
export { usualWarmUpMinutes, warmUpAt, type WarmUp } from './warmUp';
export { openingOrder, type OpeningTurn, type StationToOpen } from './order';
export {
  ageingBetween,
  forecastMorning,
  type ForecastPart,
  type MorningForecast,
  type MorningInput,
  type Weather,
} from './forecast';
export { CAFFEINE_NEAR_MG, caffeineOf, type Tasted } from './caffeine';
