export { LEVERS, methodErrors, methodSchema, ORDERS, type Lever, type Method, type Order } from './Method';
export { findMethod, METHOD_IDS, METHODS, startTemperatureC } from './methods';
export { proposeAim, type ProposedAim } from './proposeAim';
export { PRE_BREWS, recommendMethod, type CoffeeAndMachine, type PreBrew, type Recommendation } from './recommend';
export { READING } from './reading';
export { whenOff, type OffLine } from './whenOff';
