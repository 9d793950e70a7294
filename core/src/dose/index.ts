export {
  findDose,
  GLASS_SD_GRAMS,
  PRINTS,
  PUCK_CHECKS,
  ROAST_DENSITY,
  STRIKE_SD_GRAMS,
  strikeLevelDose,
  type DoseFinding,
  type DoseQuestion,
  type Print,
  type PuckCheck,
  type Weighing,
} from './headspace';
export {
  doseCreep,
  fitTimedDose,
  predictDose,
  secondsForDose,
  weighOnceMore,
  type Creep,
  type DoseForecast,
  type DoseLaw,
  type TimedDoseModel,
  type TimedGrinder,
  type TimedWeighing,
  type WeighOnceMore,
} from './timedDose';
export { adviseValve, VALVE_TARGET_GRAMS, type ValveAdvice, type ValveReading } from './valve';
