export { combine, messageOf, type Message, type Normal } from './gaussian';
export { combineCoffee, combineSlopes, lessonOf, usualSlope, type Lesson } from './lesson';
export { FEWEST_TASTINGS, marksOf } from './marks';
export { palateOf, type Palate } from './palate';
export { suggestStart, type KeptSetting, type StartSuggestion, type WantedShot } from './start';
export { serviceLessons, type ServedShot, type ServiceLesson } from './serviceSlope';
