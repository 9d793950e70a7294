import { z } from 'zod';
import { fieldErrorsOf, type FieldError } from '../formats/fieldErrors';
import { ROASTS, TIMER_STARTS } from '../brew/types';

/** What a barista can turn. Pressure is a lever of the hand; it is named in orders but not computed as a setting. */
export const LEVERS = ['grind', 'yield', 'dose', 'temperature'] as const;
export type Lever = (typeof LEVERS)[number];

/** Whether a method's order of levers binds, or is only a small price. */
export const ORDERS = ['by-the-book', 'fewest-shots'] as const;
export type Order = (typeof ORDERS)[number];

const lever = z.enum(LEVERS);
const celsius = z.number().min(60).max(100);

/**
 * A method of dialling in, as data. A shop's own method is a clone with changes and needs no code.
 * Taste scales are those of the advice contract (−3 … +3).
 */
export const methodSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  /** One sentence: the idea. */
  idea: z.string().max(400).default(''),
  /** Who it suits. */
  suits: z.string().max(400).default(''),
  /** Levers this method keeps still. */
  locks: z.array(lever),
  /** Levers moved for sour–bitter and for thin–heavy, first choice first. */
  balanceOrder: z.array(lever),
  bodyOrder: z.array(lever),
  /** How that order is taken where nobody says otherwise; left out: by the book. */
  order: z.enum(ORDERS).optional(),
  start: z.object({ doseGrams: z.number().min(5).max(40), ratio: z.number().min(0.5).max(6) }),
  windowSeconds: z
    .object({ min: z.number().min(5).max(120), max: z.number().min(5).max(120) })
    .refine((w) => w.max > w.min, { message: 'must end later than it begins', path: ['max'] }),
  timer: z.enum(TIMER_STARTS),
  /** target: time is brought into the window first. outcome: taste decides, the window only warns. */
  timeIs: z.enum(['target', 'outcome']),
  temperatureC: z.object(
    Object.fromEntries(ROASTS.map((r) => [r, celsius])) as Record<(typeof ROASTS)[number], typeof celsius>,
  ),
  /** Usual seconds before the first drip on this method's clock. */
  leadSeconds: z.number().min(0).max(60).default(6),
  /** Shots at the same settings that must bear out the first before a recipe is called dialled, however sure the belief. */
  confirmShots: z.number().int().min(0).max(2).default(0),
  tolerance: z
    .object({ balance: z.number().min(0.1).max(2), body: z.number().min(0.1).max(2) })
    .default({ balance: 0.6, body: 0.9 }),
});
export type Method = z.infer<typeof methodSchema>;

/** What is wrong with a would-be method, field by field; empty when nothing is. */
export function methodErrors(value: unknown): FieldError[] {
  const result = methodSchema.safeParse(value);
  if (!result.success) return fieldErrorsOf(result.error);
  const errors: FieldError[] = [];
  const { locks, balanceOrder, bodyOrder } = result.data;
  for (const path of ['balanceOrder', 'bodyOrder'] as const) {
    const order = path === 'balanceOrder' ? balanceOrder : bodyOrder;
    if (new Set(order).size < order.length) errors.push({ path, message: 'must not name a lever twice' });
    // Dose may be locked and still be the way out for body at a grinder's end: that is how some methods mean it.
    const locked = order.find((lever) => lever !== 'dose' && locks.includes(lever));
    if (locked) errors.push({ path, message: `must not use ${locked}: it is locked` });
  }
  if (balanceOrder.length === 0) errors.push({ path: 'balanceOrder', message: 'must name at least one lever' });
  return errors;
}
