/** How a shot ran, to be drawn: its first drop, its middle, its end, and how thick its stream was at every second. */
export interface Stream {
  firstDripSeconds: number;
  /** When ten grams were out; null where it held less. */
  tenGramsSeconds: number | null;
  endSeconds: number;
  grams: number;
  /** g/s at every second from zero on. */
  flow: number[];
}

/** Less than this is a wet spout. */
const FIRST_DRIP_GRAMS = 0.3;
/** What drips after the stop is no stream. */
const LAST_DRIPS_GRAMS = 0.5;
const HALFWAY_GRAMS = 10;
/** A second's figure is taken over so many on both sides. */
const SMOOTH_SECONDS = 1;

/**
 * @param line grams at every second, null where nobody knows
 * @returns null where nothing ran
 */
export function streamOf(line: readonly (number | null)[]): Stream | null {
  let known = 0;
  const grams = line.map((each) => (known = Math.max(known, each ?? known)));
  const total = grams.at(-1) ?? 0;
  const firstAt = (least: number): number => grams.findIndex((each) => each >= least);
  const firstDripSeconds = firstAt(FIRST_DRIP_GRAMS);
  if (firstDripSeconds < 0) return null;
  const tenGramsSeconds = firstAt(HALFWAY_GRAMS);
  const flow = grams.map((_, second) => {
    const from = Math.max(0, second - SMOOTH_SECONDS);
    const to = Math.min(grams.length - 1, second + SMOOTH_SECONDS);
    return to === from ? 0 : (grams[to]! - grams[from]!) / (to - from);
  });
  return {
    ...{ firstDripSeconds, tenGramsSeconds: tenGramsSeconds < 0 ? null : tenGramsSeconds },
    ...{ endSeconds: firstAt(total - LAST_DRIPS_GRAMS), grams: total, flow },
  };
}
