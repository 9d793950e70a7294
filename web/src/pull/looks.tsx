import type { Look, Sign } from '@olvet/core';
import type { ReactNode } from 'react';

/** One thing to see: a sign of the contract, or a look that says nothing of a fault. */
export type Sight = { sign: Sign } | { look: Look };

export interface Drawn {
  word: string;
  sight: Sight;
  /** In a field of 44 by 44, drawn with the pen of its place. */
  drawing: ReactNode;
}

const drop = (x: number, y: number): ReactNode => <path key={`${x} ${y}`} d={`M${x} ${y - 4} q4 6 0 8 q-4 -2 0 -8`} />;
const BASKET = <path d="M6 8 h32 l-4 10 h-24 z" />;
const PUCK = <path d="M6 16 h32 v14 h-32 z" />;

/** What one looks at, from the first drop to the knocked-out puck; drawings of our own. */
export const SIGHTS: { name: string; note?: string; drawn: Drawn[] }[] = [
  {
    name: 'stream',
    drawn: [
      {
        word: 'spurts',
        sight: { sign: 'spurts' },
        drawing: (
          <>
            {BASKET}
            <path d="M22 18 v22 M14 18 q-6 4 -10 2 M30 18 q6 8 10 6" />
          </>
        ),
      },
      {
        word: 'uneven spouts',
        sight: { sign: 'uneven-spouts' },
        drawing: (
          <>
            {BASKET}
            <path d="M15 18 v22" strokeWidth="5" />
            <path d="M29 18 v8" />
          </>
        ),
      },
      {
        word: 'gushed',
        sight: { sign: 'gushing' },
        drawing: (
          <>
            {BASKET}
            <path d="M16 18 q-3 12 -6 22 h24 q-3 -10 -6 -22" />
          </>
        ),
      },
      {
        word: 'only dripped',
        sight: { sign: 'dripping' },
        drawing: (
          <>
            {BASKET}
            {drop(22, 26)}
            {drop(22, 38)}
          </>
        ),
      },
    ],
  },
  {
    name: 'tail',
    drawn: [
      {
        word: 'thin, curling',
        sight: { look: 'tail-curling' },
        drawing: (
          <>
            {BASKET}
            <path d="M22 18 q4 6 0 11 q-4 6 1 12" />
          </>
        ),
      },
      {
        word: 'wide, then in',
        sight: { look: 'tail-wide' },
        drawing: (
          <>
            {BASKET}
            <path d="M12 18 q10 6 10 22 M32 18 q-10 6 -10 22" />
          </>
        ),
      },
    ],
  },
  {
    name: 'end',
    drawn: [
      {
        word: 'paled early',
        sight: { sign: 'early-blonding' },
        drawing: (
          <>
            {BASKET}
            <path d="M18 18 v6 M26 18 v6" />
            <path d="M18 24 v16 M26 24 v16" strokeDasharray="2 4" />
          </>
        ),
      },
      {
        word: 'slow, then a rush',
        sight: { sign: 'late-rush' },
        drawing: (
          <>
            {BASKET}
            <path d="M22 18 v8 l-7 14 h14 l-7 -14" />
          </>
        ),
      },
      {
        word: 'dead spots',
        sight: { sign: 'dead-spots' },
        drawing: (
          <>
            <circle cx="22" cy="22" r="16" />
            <path d="M22 22 L36 15 A16 16 0 0 1 36 29 z" fill="currentColor" />
          </>
        ),
      },
    ],
  },
  {
    name: 'crema',
    note: 'Tells freshness and roast, never quality.',
    drawn: [
      {
        word: 'thick',
        sight: { look: 'crema-thick' },
        drawing: (
          <>
            <path d="M8 8 h28 v18 q0 10 -14 10 q-14 0 -14 -10 z" />
            <path d="M8 12 h28 v8 h-28 z" fill="currentColor" />
          </>
        ),
      },
      {
        word: 'thin',
        sight: { look: 'crema-thin' },
        drawing: (
          <>
            <path d="M8 8 h28 v18 q0 10 -14 10 q-14 0 -14 -10 z" />
            <path d="M8 15 h28" strokeWidth="4" />
          </>
        ),
      },
      {
        word: 'gone at once',
        sight: { look: 'crema-gone' },
        drawing: (
          <>
            <path d="M8 8 h28 v18 q0 10 -14 10 q-14 0 -14 -10 z" />
            <path d="M8 16 h6 M30 16 h6" />
          </>
        ),
      },
    ],
  },
  {
    name: 'puck',
    drawn: [
      {
        word: 'soupy',
        sight: { sign: 'soupy-puck' },
        drawing: (
          <>
            {PUCK}
            <path d="M6 16 q4 -6 8 0 t8 0 t8 0 t8 0" />
          </>
        ),
      },
      {
        word: 'crater',
        sight: { sign: 'puck-crater' },
        drawing: (
          <>
            <path d="M6 16 h10 q6 12 12 0 h10 v14 h-32 z" />
          </>
        ),
      },
      {
        word: 'screen imprint',
        sight: { sign: 'screen-imprint' },
        drawing: (
          <>
            {PUCK}
            <path d="M10 20 h2 M16 20 h2 M22 20 h2 M28 20 h2 M34 20 h1 M13 25 h2 M19 25 h2 M25 25 h2 M31 25 h2" />
          </>
        ),
      },
    ],
  },
];
