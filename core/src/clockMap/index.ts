export { rayleighP, roseOf, type Rose } from './rose';
