import { z } from 'zod';
import { fieldErrorsOf } from '../formats/fieldErrors';
import { DEVICE_COMMANDS, DEVICE_EVENTS, DEVICE_FIGURES, DEVICE_KINDS, KINDS_OF_DEVICE } from './kinds';

export const DEVICE_PROTOCOL = 'olvet.device/1';
/** No message is longer, in characters. */
export const LONGEST_LINE = 4096;

const clock = z.number().min(0).max(1e12);
const sequence = z.number().int().min(1).max(1e12);
const values = z.partialRecord(z.enum(DEVICE_FIGURES), z.number());

/** The first line of every connection: who speaks, and from where on it can repeat itself. */
const hello = z
  .strictObject({
    type: z.literal('hello'),
    protocol: z.literal(DEVICE_PROTOCOL),
    /** Made once by the device and kept to itself: by it the device is known again. */
    key: z.string().min(16).max(200),
    kind: z.enum(DEVICE_KINDS),
    name: z
      .string()
      .max(80)
      .regex(/[\p{L}\p{N}]/u, 'must hold a letter or a number')
      .regex(/^\P{C}*$/u, 'must be plain text'),
    unit: z.string().max(20),
    capabilities: z.array(z.enum(DEVICE_COMMANDS)).max(DEVICE_COMMANDS.length),
    /** True where no real device stands behind it. */
    simulated: z.boolean().optional(),
    /** Another one whenever the device's clock and counting begin again. */
    session: z.string().min(1).max(80),
    /** The oldest message it could still repeat. */
    oldest: sequence,
  })
  .superRefine(({ kind, unit, capabilities }, context) => {
    const known = KINDS_OF_DEVICE[kind];
    if (unit !== known.unit) {
      context.addIssue({ code: 'custom', path: ['unit'], message: `of a ${kind} must be ${known.unit}` });
    }
    for (const [i, command] of capabilities.entries()) {
      if (known.commands.includes(command)) continue;
      context.addIssue({ code: 'custom', path: ['capabilities', i], message: `is nothing a ${kind} can do` });
    }
  });

const reading = z.strictObject({ type: z.literal('reading'), seq: sequence, ms: clock, values });

const event = z.strictObject({
  type: z.literal('event'),
  seq: sequence,
  ms: clock,
  event: z.enum(DEVICE_EVENTS),
  values: values.optional(),
});

/** What became of a command. */
const done = z.strictObject({
  type: z.literal('done'),
  id: z.string().max(80),
  ok: z.boolean(),
  message: z.string().max(200).optional(),
});

const fromDevice = z.discriminatedUnion('type', [hello, reading, event, done]);
export type FromDevice = z.output<typeof fromDevice>;
export type DeviceHello = z.output<typeof hello>;
/** What is counted, repeated after a break, and passed on to whoever watches. */
export type DeviceReport = z.output<typeof reading> | z.output<typeof event>;

/** What Olvet says to a device. */
export type ToDevice =
  /** Known, or waiting until a person has compared the code; `next` is the first message wanted. */
  | { type: 'welcome'; name: string; state: 'in' | 'waiting'; code: string | null; next: number }
  /** All up to here is kept: it need not be repeated. */
  | { type: 'got'; seq: number }
  | { type: 'command'; id: string; command: (typeof DEVICE_COMMANDS)[number]; value?: number }
  /** A message that was left out, and why. */
  | { type: 'ignored'; message: string }
  /** The last line before the socket is closed. */
  | { type: 'refused'; message: string };

const toDevice = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('welcome'),
    name: z.string(),
    state: z.enum(['in', 'waiting']),
    code: z.string().nullable(),
    next: z.number(),
  }),
  z.object({ type: z.literal('got'), seq: z.number() }),
  z.object({
    type: z.literal('command'),
    id: z.string(),
    command: z.enum(DEVICE_COMMANDS),
    value: z.number().optional(),
  }),
  z.object({ type: z.literal('ignored'), message: z.string() }),
  z.object({ type: z.literal('refused'), message: z.string() }),
]);

export type ReadLine<T> = { ok: true; message: T } | { ok: false; error: string };

/** One line of a device, or what is wrong with it in words. */
export const readDeviceLine = (line: string): ReadLine<FromDevice> => readLine(fromDevice, line);
/** One line to a device; what a later Olvet adds is left out. */
export const readOlvetLine = (line: string): ReadLine<ToDevice> => readLine(toDevice, line);

export function writeLine(message: FromDevice | ToDevice): string {
  return `${JSON.stringify(message)}\n`;
}

function readLine<T>(schema: z.ZodType<T>, line: string): ReadLine<T> {
  if (line.length > LONGEST_LINE) return { ok: false, error: `a line has at most ${LONGEST_LINE} characters` };
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return { ok: false, error: 'this line is not JSON' };
  }
  const result = schema.safeParse(value);
  if (result.success) return { ok: true, message: result.data };
  const { path, message } = fieldErrorsOf(result.error)[0]!;
  return { ok: false, error: path ? `${path} ${message}` : message };
}
