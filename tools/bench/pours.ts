import { createRandom, drawNormal, type Random, type Traced, type ValidTraceRequest } from '../../core/src/index';

/** What one bar's scale and machine are like. */
export interface Bar {
  hertz: number;
  /** Scatter of one reading, g; while the pump runs it shakes. */
  noiseSd: number;
  driftPerSecond: number;
  /** Share of shots in which a cup is lifted and put back. */
  lifts: number;
  /** Share of readings that are lost, in runs. */
  gaps: number;
}

/** A shot as it really was. */
export interface TruePour {
  firstDripSeconds: number;
  /** Grams in the cup at a time, had nobody stopped it. */
  gramsAt: (seconds: number) => number;
  flowAt: (seconds: number) => number;
}

const STEP = 0.02;
const LONGEST_SECONDS = 150;

/** Flow from 0.5 to 3 g/s: it swells, wobbles, gives way towards the end, and in one shot of eight rushes late. */
export function drawPour(random: Random): TruePour {
  const firstDripSeconds = 4 + 6 * random();
  const base = 0.5 * Math.exp(random() * Math.log(6));
  const swell = 0.5 + 2 * random();
  const givesWay = drawNormal(random, 0.15, 0.15);
  const wobble = 0.03 + 0.07 * random();
  const isRush = random() < 0.125;
  const rushAt = firstDripSeconds + (14 + 10 * random()) * Math.min(2, 1.3 / base);
  const grams: number[] = [0];
  const flows: number[] = [0];
  let wave = 0;
  for (let t = STEP; t < LONGEST_SECONDS; t += STEP) {
    const since = t - firstDripSeconds;
    wave += -wave * (STEP / 1.5) + wobble * Math.sqrt((2 * STEP) / 1.5) * drawNormal(random, 0, 1);
    const poured = grams.at(-1)! / 36;
    const rush = isRush && t > rushAt ? Math.min(1.8, 1 + 0.3 * (t - rushAt)) : 1;
    const flow = since <= 0 ? 0 : base * Math.min(1, since / swell) * (1 + givesWay * poured + wave) * rush;
    flows.push(Math.max(0, flow));
    grams.push(grams.at(-1)! + Math.max(0, flow) * STEP);
  }
  const at = (values: readonly number[], seconds: number): number =>
    values[Math.min(values.length - 1, Math.max(0, Math.round(seconds / STEP)))]!;
  return { firstDripSeconds, gramsAt: (t) => at(grams, t), flowAt: (t) => at(flows, t) };
}

export type TraceRow = [seconds: number, grams: number];

/** What the scale reads of a cup that holds so much, from three seconds before the pump runs. */
export class Scale {
  private readonly offset: number;
  private readonly liftFrom: number;
  private gapUntil = -Infinity;

  constructor(
    private readonly bar: Bar,
    private readonly random: Random,
  ) {
    this.offset = drawNormal(random, 0, 0.3);
    this.liftFrom = random() < bar.lifts ? 8 + 8 * random() : Infinity;
  }

  /** null where the reading was lost. */
  read(seconds: number, grams: number): number | null {
    const { noiseSd, driftPerSecond, gaps, hertz } = this.bar;
    if (this.random() < gaps / hertz) this.gapUntil = seconds + 0.3 + this.random();
    if (seconds < this.gapUntil) return null;
    const isLifted = seconds >= this.liftFrom && seconds < this.liftFrom + 0.8;
    const shake = seconds > 0 ? noiseSd : noiseSd / 2;
    const read = this.offset + driftPerSecond * seconds + drawNormal(this.random, isLifted ? -180 : grams, shake);
    return Math.round(10 * read) / 10;
  }
}

export const BARS: Bar[] = [
  { hertz: 2, noiseSd: 0.05, driftPerSecond: 0, lifts: 0, gaps: 0 },
  { hertz: 5, noiseSd: 0.1, driftPerSecond: 0.003, lifts: 0.1, gaps: 0.02 },
  { hertz: 10, noiseSd: 0.15, driftPerSecond: -0.003, lifts: 0.1, gaps: 0.05 },
  { hertz: 20, noiseSd: 0.25, driftPerSecond: 0.005, lifts: 0.1, gaps: 0.05 },
];

export interface Pulled {
  finalGrams: number;
  /** What its trace says, as it would be kept. */
  traced: Traced;
  firstDripError: number | null;
  /** Whether the landing foreseen at half the target held the true one; null where none was foreseen. */
  landingHeld: boolean | null;
}

const TARGET_GRAMS = 36;
const DELAY_SECONDS = 0.3;
const DELAY_SD = 0.06;

/** One shot, stopped when the trace says so: what ended in the cup, and how near the trace was. */
export function pullByTrace(
  read: (request: ValidTraceRequest) => ReturnType<typeof import('../../core/src/index').readTrace>,
  seed: string,
  bar: Bar,
  drip: ValidTraceRequest['drip'],
): Pulled {
  const random = createRandom(seed);
  const pour = drawPour(random);
  const scale = new Scale(bar, random);
  const rows: TraceRow[] = [];
  const request = (pumpOff: number | null): ValidTraceRequest => ({
    schema: 'olvet.trace-request/1',
    target: { doseGrams: 18, yieldGrams: TARGET_GRAMS, timeSeconds: { min: 25, max: 32 }, timer: 'pump-on' },
    drip,
    stopDelaySeconds: DELAY_SECONDS,
    columns: ['seconds', 'grams'],
    rows,
    events: [
      { seconds: 0, kind: 'pump-on' },
      ...(pumpOff === null ? [] : [{ seconds: pumpOff, kind: 'pump-off' as const }]),
    ],
  });
  const dt = 1 / bar.hertz;
  const landed = [...Array(LONGEST_SECONDS * 50).keys()]
    .map((i) => i * STEP)
    .find((t) => pour.gramsAt(t) >= TARGET_GRAMS);
  let [stopAt, landingHeld, firstDrip]: [number | null, boolean | null, number | null] = [null, null, null];
  let t = -2;
  let cue: number | null = null;
  for (; t < 140 && stopAt === null; t += dt) {
    const grams = scale.read(t, pour.gramsAt(t));
    if (grams !== null) rows.push([t, grams]);
    if (t < pour.firstDripSeconds) continue;
    const answer = read(request(null));
    firstDrip = answer.firstDripSeconds ?? firstDrip;
    if (landingHeld === null && answer.grams >= TARGET_GRAMS / 2 && answer.landing) {
      const { p10, p90 } = answer.landing.timeSeconds;
      landingHeld = landed !== undefined && landed >= p10 && landed <= p90;
    }
    cue = answer.stop?.atSeconds ?? cue;
    if (cue !== null && cue < t + dt)
      stopAt = Math.max(cue, t) + Math.max(0, drawNormal(random, DELAY_SECONDS, DELAY_SD));
  }
  const off = stopAt ?? t;
  const flow = pour.flowAt(off);
  const fallen = Math.max(0.1, drawNormal(random, 0.8 + 0.7 * flow, 0.4));
  const finalGrams = pour.gramsAt(off) + fallen;
  for (let s = t; s < off + 6; s += dt) {
    const grams = s <= off ? pour.gramsAt(s) : pour.gramsAt(off) + fallen * (1 - Math.exp(-(s - off) / 0.7));
    const seen = scale.read(s, grams);
    if (seen !== null) rows.push([s, seen]);
  }
  const { summary } = read(request(off));
  return {
    finalGrams,
    traced: { summary, line: [], stopDelaySeconds: null },
    firstDripError: firstDrip === null ? null : firstDrip - pour.firstDripSeconds,
    landingHeld,
  };
}
