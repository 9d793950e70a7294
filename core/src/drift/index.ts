export { stationState, type StationState, type StationStateInput } from './stationState';
