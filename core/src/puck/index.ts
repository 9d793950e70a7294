export { createRandom, drawBetween, drawNormal, type Random } from './random';
export { PLAIN_WORLD, type PuckWorld } from './world';
export {
  brewPuck,
  CLEAN_PUCK,
  grainMicrons,
  Puck,
  STEP_SECONDS,
  type BrewedPuck,
  type BrewSettings,
  type FlowPoint,
} from './brewPuck';
export {
  idealShot,
  drawHand,
  pullShot,
  reportTaste,
  STEADY_BARISTA,
  tasteOf,
  type Barista,
  type MeasuredPull,
  type PulledShot,
  type TrueTaste,
} from './pullShot';
