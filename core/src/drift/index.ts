export { carry, type AnsweringGrinder, type CarriedStart } from './carry';
export { driftedStart, type DriftedStartInput } from './driftedStart';
export { middleOfLast, stationState, type StationState, type StationStateInput } from './stationState';
export { foundTime, spreadInService, type FoundTime } from './foundTime';
