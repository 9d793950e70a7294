export { firstDripDelay, temperatureOffset, type Calibrated } from './calibrate';
