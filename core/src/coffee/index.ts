export { REST_PHASES, restOf, type FrozenSpell, type Rest, type RestBand, type RestPhase } from './rest';
export { dialInBudget, shotCostCents, shotsIn, stockOf, type DialInBudget, type Stock } from './stock';
export { LABEL_FIELDS, readLabel, type LabelField, type LabelReading } from './label';
export { BODY_GOALS, DRUNK_AS, FLAVOUR_GOALS, goalInWords, tasteTarget, type DrunkAs, type GoalWord } from './goal';
export { isCurrency } from './currency';
