import type { Roast } from '../brew/types';
import type { Method } from './Method';
import { findMethod } from './methods';

/** What comes before the pressure, as the machine has it. */
export const PRE_BREWS = ['none', 'pre-infusion', 'valve', 'lever'] as const;
export type PreBrew = (typeof PRE_BREWS)[number];

export interface CoffeeAndMachine {
  roast: Roast;
  altitudeM?: number | null;
  /** Whether the machine's brewing temperature can be set. */
  canSetTemperature: boolean;
  preBrew?: PreBrew | null;
  /** How many people pull here; one where nobody said. */
  people?: number | null;
}

export interface Recommendation {
  method: Method;
  /** Why this one, in a barista's words. */
  reasons: string[];
}

/** High-grown beans are dense and give slowly, even a shade darker. */
const HIGH_GROWN_M = 1900;

interface Question extends CoffeeAndMachine {
  isDense: boolean;
}

interface Row {
  methodId: string;
  suits: (question: Question) => boolean;
  reasons: (question: Question) => string[];
}

/** First row that suits wins: what the machine demands comes before what the coffee likes, and that before who pulls. */
const ROWS: readonly Row[] = [
  {
    methodId: 'hand-lever',
    suits: ({ preBrew }) => preBrew === 'lever',
    reasons: () => ['A hand on the lever sets pressure and time: grind and ratio are found around it.'],
  },
  {
    methodId: 'slow-soak',
    suits: ({ preBrew }) => preBrew === 'valve',
    reasons: ({ isDense }) => [
      'The valve lets water in slowly: the whole contact counts, and about half of it is soak.',
      ...(isDense ? ['A light roast takes a smaller flow still.'] : []),
    ],
  },
  {
    methodId: 'open-light',
    suits: ({ isDense }) => isDense,
    reasons: ({ roast, canSetTemperature }) => [
      `${roast === 'light' ? 'A light roast gives its sweetness slowly' : 'Grown this high it is dense and gives slowly'}: ${
        canSetTemperature ? 'hotter water and more yield help' : 'more yield helps'
      } more than a finer grind.`,
      ...(canSetTemperature ? [] : ['This machine’s heat is fixed, so that step of the method falls away.']),
      'Time is an outcome here, so a fast shot that tastes right is right.',
    ],
  },
  {
    methodId: 'small-classic',
    suits: ({ roast }) => roast === 'dark',
    reasons: ({ canSetTemperature }) => [
      'A dark roast gives much and turns bitter soon: a short, cooler cup keeps it round.',
      canSetTemperature
        ? 'It starts at 88–90 °C.'
        : 'If the machine runs hot, flush before the shot; mind the steam and follow the maker’s manual.',
    ],
  },
  {
    methodId: 'one-lever',
    suits: ({ people }) => (people ?? 1) > 1,
    reasons: ({ people }) => [
      `${people} people pull here: with grind alone to turn, every hand keeps the same recipe.`,
    ],
  },
  {
    methodId: 'balance-walk',
    suits: () => true,
    reasons: ({ roast }) => [
      `A ${roast} roast forgives: time first, then yield for body and grind for balance find its middle in the fewest shots.`,
    ],
  },
];

/** The method that suits a coffee, a machine and the people who pull, with reasons. */
export function recommendMethod(question: CoffeeAndMachine): Recommendation {
  const { roast, altitudeM } = question;
  const isDense = roast === 'light' || (roast === 'medium-light' && (altitudeM ?? 0) >= HIGH_GROWN_M);
  const asked = { ...question, isDense };
  const row = ROWS.find(({ suits }) => suits(asked))!;
  return { method: findMethod(row.methodId)!, reasons: row.reasons(asked) };
}
