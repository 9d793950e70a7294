/** A mean with its standard deviation and how many readings made it. */
export interface Calibrated {
  mean: number;
  sd: number;
  readings: number;
}

/** Water in a cup under a group loses some heat on the way; a thermometer in the stream reads to about a degree. */
const OFFSET = { mean: 0, sd: 3, reading: 1 };
/** First drip comes 5–8 s after pump on; from shot to shot it moves by a second or so. */
const FIRST_DRIP = { mean: 6.5, sd: 2, reading: 1.2 };

/** Group temperature minus what the display says, °C, from pairs of both. */
export function temperatureOffset(readings: readonly { shownC: number; measuredC: number }[]): Calibrated {
  return combine(
    readings.map(({ shownC, measuredC }) => measuredC - shownC),
    OFFSET,
  );
}

/** Pump on → first drip of a machine, s, from shots watched: lets shots of either timer start be compared. */
export function firstDripDelay(seconds: readonly number[]): Calibrated {
  return combine(seconds, FIRST_DRIP);
}

/** Normal readings on a normal prior: precisions add, means are weighed by them. */
function combine(values: readonly number[], prior: { mean: number; sd: number; reading: number }): Calibrated {
  const priorPrecision = prior.sd ** -2;
  const precision = priorPrecision + values.length * prior.reading ** -2;
  const sum = values.reduce((total, value) => total + value, 0);
  const mean = (priorPrecision * prior.mean + sum * prior.reading ** -2) / precision;
  return { mean: Math.round(mean * 100) / 100, sd: Math.round(precision ** -0.5 * 100) / 100, readings: values.length };
}
