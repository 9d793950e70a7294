export { CAUTIONS } from './cautions';
export { careDue, type CareDue, type CareSince } from './careDue';
export {
  CARE_CODES,
  CARE_HABITS,
  CARE_PLACES,
  CARE_TASKS,
  careTask,
  type CareInterval,
  type CarePlace,
  type CareTask,
  type CareTaskCode,
} from './tasks';
