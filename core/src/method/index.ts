export { LEVERS, methodSchema, type Lever, type Method } from './Method';
export { findMethod, METHOD_IDS, METHODS, startTemperatureC, suggestMethod } from './methods';
