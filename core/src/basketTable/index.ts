export {
  basketSize,
  basketTable,
  LENGTH_CODES,
  LENGTHS,
  type BasketSize,
  type Length,
  type TableBase,
  type TableBasket,
  type TableCell,
  type TableGrinder,
  type TableShot,
} from './basketTable';
