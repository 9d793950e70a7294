import { inverse, Matrix } from 'ml-matrix';

/** What moves a time while nobody touches anything, each by one unit of it. */
export const EFFECTS = ['humidity', 'warmth', 'age', 'hour'] as const;
export type EffectName = (typeof EFFECTS)[number];

/**
 * The rule of thumb each begins from, ln time: for a point of humidity, a °C, what a bag is thought to lose by ageing (times one),
 * an hour of service. Sizes assumed; half of each is its doubt (handbook §10), the hour is nobody's rule.
 */
export const THUMB: Readonly<Record<EffectName, { mean: number; sd: number }>> = {
  humidity: { mean: 0.003, sd: 0.0015 },
  warmth: { mean: 0.003, sd: 0.0015 },
  age: { mean: 1, sd: 0.5 },
  hour: { mean: 0, sd: 0.004 },
};

/** A puck's stray; what an hour shares besides, what a day shares besides, and how badly a found time is known; ln. */
const SPREAD = { puck: 0.06, hour: 0.025, day: 0.05, card: 0.08 };
/** Shots further off than this were no shots by the recipe, ln. */
const OTHER = 0.5;

export interface EffectShot {
  /** The shop's day, and the hour of its clock. */
  day: string;
  hour: number;
  cardId: string;
  /** ln of its time over the card's, freed from dose, yield and grind. */
  log: number;
  humidityPercent: number | null;
  celsius: number | null;
  /** What ageing is thought to have brought since the coffee came into its own, ln; null where nobody knows the roast day. */
  ageing: number | null;
}

export interface LearnedEffect {
  mean: number;
  sd: number;
  /** On so many days it was known. */
  days: number;
}
export type LearnedEffects = Readonly<Record<EffectName, LearnedEffect>>;

/** Reference air: effects are differences, so any will do. */
const USUAL = { humidityPercent: 50, celsius: 21, hour: 12 };

const VALUES: Readonly<Record<EffectName, (shot: EffectShot) => number | null>> = {
  humidity: ({ humidityPercent }) => humidityPercent && humidityPercent - USUAL.humidityPercent,
  warmth: ({ celsius }) => (celsius === null ? null : celsius - USUAL.celsius),
  age: ({ ageing }) => ageing,
  hour: ({ hour }) => hour - USUAL.hour,
};

/** All that was poured in one hour of a day by one card. */
interface Cell {
  day: string;
  cardId: string;
  log: number;
  precision: number;
  values: Partial<Record<EffectName, number>>;
}

/**
 * This shop's own effects on one grinder: normal beliefs that begin at the rule of thumb and are moved by the days, each of which
 * shares a stray of its own, as each card does. Closed form: Bayesian linear regression.
 */
export function learnEffects(shots: readonly EffectShot[]): LearnedEffects {
  const cells = cellsOf(shots.filter(({ log }) => Math.abs(log) <= OTHER));
  const cards = [...new Set(cells.map(({ cardId }) => cardId))];
  const priors = [...EFFECTS.map((name) => THUMB[name]), ...cards.map(() => ({ mean: 0, sd: SPREAD.card }))];
  const precision = Matrix.diag(priors.map(({ sd }) => sd ** -2));
  const weighted = Matrix.columnVector(priors.map(({ mean, sd }) => mean * sd ** -2));
  for (const day of grouped(cells, ({ day }) => day)) addDay(day, cards, { precision, weighted });
  const covariance = inverse(precision);
  const means = covariance.mmul(weighted);
  const daysOf = (name: EffectName): number =>
    new Set(cells.filter(({ values }) => values[name] !== undefined).map(({ day }) => day)).size;
  return Object.fromEntries(
    EFFECTS.map((name, i) => [
      name,
      { mean: means.get(i, 0), sd: Math.sqrt(covariance.get(i, i)), days: daysOf(name) },
    ]),
  ) as unknown as LearnedEffects;
}

function cellsOf(shots: readonly EffectShot[]): Cell[] {
  const groups = grouped(shots, ({ day, hour, cardId }) => `${day} ${Math.floor(hour)} ${cardId}`);
  return groups.map((own) => {
    const values: Partial<Record<EffectName, number>> = {};
    for (const name of EFFECTS) {
      const known = own.map(VALUES[name]).filter((value) => value !== null);
      if (known.length > 0) values[name] = average(known);
    }
    const { day, cardId } = own[0]!;
    const variance = SPREAD.puck ** 2 / own.length + SPREAD.hour ** 2;
    return { day, cardId, log: average(own.map(({ log }) => log)), precision: 1 / variance, values };
  });
}

/** A day's cells share its stray: its covariance is undone by the formula of Sherman and Morrison. */
function addDay(
  cells: readonly Cell[],
  cards: readonly string[],
  { precision, weighted }: { precision: Matrix; weighted: Matrix },
): void {
  const rows = new Matrix(cells.map((cell) => rowOf(cell, cards)));
  const logs = Matrix.columnVector(cells.map(({ log }) => log));
  const weights = Matrix.diag(cells.map((cell) => cell.precision));
  const total = cells.reduce((sum, cell) => sum + cell.precision, 0);
  const ones = Matrix.columnVector(cells.map((cell) => cell.precision));
  const shared = ones.mmul(ones.transpose()).mul(SPREAD.day ** 2 / (1 + SPREAD.day ** 2 * total));
  const undone = Matrix.sub(weights, shared);
  const left = rows.transpose().mmul(undone);
  precision.add(left.mmul(rows));
  weighted.add(left.mmul(logs));
}

/** What nobody knows of an hour is as usual. */
function rowOf({ values, cardId }: Cell, cards: readonly string[]): number[] {
  return [...EFFECTS.map((name) => values[name] ?? 0), ...cards.map((card) => (card === cardId ? 1 : 0))];
}

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const own = groups.get(keyOf(item));
    if (own) own.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return [...groups.values()];
}

function average(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
