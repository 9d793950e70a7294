/** A flavour wish in words, and where it puts the wanted cup on the contract's scales. */
export interface GoalWord {
  id: string;
  text: string;
  balance: number;
  body: number;
}

/**
 * Wishes a guest or a barista utters, as small shifts of the wanted cup: half a step is what a tongue can tell
 * [assumption: agreed among tasters rather than measured].
 */
export const FLAVOUR_GOALS: readonly GoalWord[] = [
  { id: 'even', text: 'sweet and balanced', balance: 0, body: 0 },
  { id: 'bright', text: 'bright, with clear acidity', balance: -0.5, body: -0.3 },
  { id: 'fruit', text: 'sweet fruit, acidity in front', balance: -0.3, body: 0 },
  { id: 'cocoa', text: 'cocoa and a little bitterness', balance: 0.4, body: 0.2 },
  { id: 'roasted', text: 'dark, roasted, bitter-sweet', balance: 0.7, body: 0.4 },
];

export const BODY_GOALS: readonly GoalWord[] = [
  { id: 'light', text: 'light and clear', balance: 0, body: -0.6 },
  { id: 'round', text: 'round', balance: 0, body: 0 },
  { id: 'heavy', text: 'heavy, syrupy', balance: 0, body: 0.7 },
];

export const DRUNK_AS = ['black', 'milk', 'long'] as const;
export type DrunkAs = (typeof DRUNK_AS)[number];

/** Milk hides bitterness and thins the body: such a cup is pulled a bit stronger and a touch to the bitter side. */
const DRINK_SHIFT: Record<DrunkAs, { balance: number; body: number }> = {
  black: { balance: 0, body: 0 },
  milk: { balance: 0.2, body: 0.4 },
  long: { balance: 0, body: 0 },
};

/** The wishes as they are said; empty where there is none. */
export function goalInWords(wish: { flavour?: string | null; body?: string | null }): string {
  const words = [FLAVOUR_GOALS.find(({ id }) => id === wish.flavour), BODY_GOALS.find(({ id }) => id === wish.body)];
  return words.flatMap((word) => word?.text ?? []).join('; ');
}

/** The taste target that words stand for, within what the scales allow; halves of halves, as a tongue reports. */
export function tasteTarget(wish: { flavour?: string | null; body?: string | null; drunkAs?: DrunkAs | null }): {
  balance: number;
  body: number;
} {
  const parts = [
    FLAVOUR_GOALS.find(({ id }) => id === wish.flavour),
    BODY_GOALS.find(({ id }) => id === wish.body),
    DRINK_SHIFT[wish.drunkAs ?? 'black'],
  ];
  const sum = (axis: 'balance' | 'body'): number => {
    const total = parts.reduce((t, part) => t + (part?.[axis] ?? 0), 0);
    return Math.round(Math.min(1.5, Math.max(-1.5, total)) * 10) / 10;
  };
  return { balance: sum('balance'), body: sum('body') };
}
