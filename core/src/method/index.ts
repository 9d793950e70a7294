export { LEVERS, methodErrors, methodSchema, type Lever, type Method } from './Method';
export { findMethod, METHOD_IDS, METHODS, startTemperatureC } from './methods';
export { recommendMethod, type CoffeeAndMachine, type Recommendation } from './recommend';
