export { connectBalance, gramsOf } from './adapters/balance';
export { Bench, TICK_SECONDS, type BenchEvent } from './bench';
export { STAND_INS, type StandIn } from './lineup';
export { DeviceLink, type LinkOptions } from './link';
