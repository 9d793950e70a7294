export * from './brew';
export * from './method';
export * from './formats';
export * from './puck';
export * from './advice';
export * from './drift';
export * from './learn';
