import type { Lever } from '../method/Method';
import type { FieldError, LearnedSlope } from './request';

export interface Settings {
  grind: number;
  doseGrams: number;
  yieldGrams: number;
  /** null where the machine has no setting for it. */
  temperatureC: number | null;
}

/** How each lever is called in settings. */
export const SETTING_OF: Record<Lever, keyof Settings> = {
  grind: 'grind',
  dose: 'doseGrams',
  yield: 'yieldGrams',
  temperature: 'temperatureC',
};

/** The same read the other way: which lever a setting belongs to. */
export const LEVER_OF: Record<keyof Settings, Lever> = {
  grind: 'grind',
  doseGrams: 'dose',
  yieldGrams: 'yield',
  temperatureC: 'temperature',
};

export interface Change {
  variable: keyof Settings;
  from: number;
  to: number;
}

export interface Interval {
  mean: number;
  p10: number;
  p90: number;
}

export interface Expectation {
  /** On the target's clock, s. */
  timeSeconds: Interval;
  balance: Interval;
  body: Interval;
  /** Probability that the next shot's time falls in the window. */
  inWindow: number;
  /** Probability of window and taste together. */
  asWanted: number;
}

export type Action = 'start' | 'change' | 'repeat' | 'prepare' | 'dialled';

export interface Reason {
  code: string;
  text: string;
}

export interface Alternative {
  settings: Settings;
  changed: Change[];
  expect: Expectation;
  text: string;
}

export interface Advice {
  schema: 'olvet.advice/1';
  id: string | null;
  action: Action;
  settings: Settings;
  changed: Change[];
  purgeGrams: number;
  /** How long a timed grinder must run for the dose, s; null where it is not timed or nothing was weighed. */
  grindSeconds: number | null;
  expect: Expectation;
  why: Reason[];
  alternatives: Alternative[];
  cautions: Reason[];
  learned: { logTimePerUnit: LearnedSlope };
}

export interface AdviceError {
  schema: 'olvet.error/1';
  id: string | null;
  errors: FieldError[];
}
