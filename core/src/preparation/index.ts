export {
  changedParts,
  comparePucks,
  PREPARATION,
  PREPARATION_PARTS,
  puckRecord,
  type Preparation,
  type PreparationPart,
  type PuckComparison,
  type PuckRecord,
  type PuckShot,
} from './preparation';
