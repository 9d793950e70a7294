import { BODY_GOALS, FLAVOUR_GOALS } from '@olvet/core';
import type { CoffeeView } from '../app/api';

const DRUNK_AS = { black: 'drunk black', milk: 'drunk with milk', long: 'drunk long' } as const;

/** What the house wants of a coffee; empty words are left out. */
export function wantedOf({ flavourGoal, bodyGoal, drunkAs }: CoffeeView): string {
  const flavour = FLAVOUR_GOALS.find(({ id }) => id === flavourGoal)?.text;
  const body = BODY_GOALS.find(({ id }) => id === bodyGoal)?.text;
  return [flavour, body, DRUNK_AS[drunkAs ?? 'black']].filter(Boolean).join('; ');
}
