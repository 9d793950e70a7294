export { combine, messageOf, type Message, type Normal } from './gaussian';
export { combineCoffee, combineSlopes, lessonOf, type Lesson } from './lesson';
export { FEWEST_TASTINGS, palateOf, type Palate } from './palate';
export { suggestStart, type KeptSetting, type StartSuggestion, type WantedShot } from './start';
