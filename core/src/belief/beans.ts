import type { Roast } from '../brew/types';
import { restAt, type RestPhase } from '../coffee/rest';
import type { ValidAdviceRequest } from '../contract/request';

type Beans = Pick<ValidAdviceRequest['coffee'], 'roast' | 'process' | 'altitudeM' | 'ageDays'>;

/** What a coffee is expected to be at 93 °C and an ordinary window, on the contract's scales. */
export interface ExpectedCup {
  balance: number;
  body: number;
  /** How much lower than usual its best cup is marked. */
  flatness: number;
}

/** Light roasts pour sour and thin, dark ones bitter and heavy. */
const ROAST: Record<Roast, { balance: number; body: number }> = {
  light: { balance: -0.7, body: -0.4 },
  'medium-light': { balance: -0.35, body: -0.2 },
  medium: { balance: 0, body: 0 },
  'medium-dark': { balance: 0.3, body: 0.1 },
  dark: { balance: 0.6, body: 0.2 },
};
/**
 * Against washed coffees, which the roasts above are [assumed]: drying in the fruit takes the edge off the acidity and
 * fills the cup. The first that fits counts: a pulped natural is a honey.
 */
const PROCESSES: readonly [pattern: RegExp, name: string, cup: { balance: number; body: number }][] = [
  [/wet[- ]?hulled/i, 'Wet-hulled', { balance: 0.15, body: 0.25 }],
  [/honey|pulped/i, 'Honey processed', { balance: 0.05, body: 0.1 }],
  [/natural|dry process|sun[- ]?dried/i, 'A natural', { balance: 0.1, body: 0.2 }],
];
/** High-grown beans are dense and give less easily: points for a kilometre from the usual height, and at most [assumed]. */
const HEIGHT = { usualM: 1500, balanceEachKm: -0.25, atMost: 0.2 };
/** An old coffee has lost gas and aroma: thinner, and no cup of it is marked as it was [assumed]. */
const AGE: Record<RestPhase, { body: number; flatness: number }> = {
  'too-fresh': { body: 0, flatness: 0 },
  settling: { body: 0, flatness: 0 },
  best: { body: 0, flatness: 0 },
  fading: { body: -0.1, flatness: 0.2 },
  past: { body: -0.3, flatness: 0.7 },
};
/** Gas makes the same setting pour differently from shot to shot: by this share of the time, beside the puck's own scatter [assumed]. */
const GAS: Partial<Record<RestPhase, number>> = { 'too-fresh': 0.04, settling: 0.02 };
/** Heights between these are not worth a word. */
const WORTH_A_WORD = { highM: 1800, lowM: 1000 };

/** What roast, process, altitude and age lead a barista to expect of a coffee nobody has tasted yet. */
export function expectedCup({ roast, process, altitudeM, ageDays }: Beans): ExpectedCup {
  const plain = ROAST[roast];
  const dried = processOf(process)?.cup ?? { balance: 0, body: 0 };
  const kilometres = altitudeM == null ? 0 : (altitudeM - HEIGHT.usualM) / 1000;
  const dense = Math.max(-HEIGHT.atMost, Math.min(HEIGHT.atMost, HEIGHT.balanceEachKm * kilometres));
  const aged = AGE[phaseOf(roast, ageDays)];
  return {
    balance: plain.balance + dried.balance + dense,
    body: plain.body + dried.body + aged.body,
    flatness: aged.flatness,
  };
}

/** Share of the shot time by which a coffee's own gas scatters it. */
export function gasScatter({ roast, ageDays }: Beans): number {
  return GAS[phaseOf(roast, ageDays)] ?? 0;
}

/** Where process or altitude let one expect something, what that is; empty where they do not. */
export function beansInWords({ process, altitudeM }: Beans): string {
  const dried = processOf(process);
  const sentences = [];
  if (dried) sentences.push(`${dried.name}: as a rule heavier and less sharp than a washed coffee.`);
  if (altitudeM != null && altitudeM >= WORTH_A_WORD.highM) {
    sentences.push(`Grown at ${altitudeM} m, so dense: it gives less easily and may begin sour.`);
  }
  if (altitudeM != null && altitudeM <= WORTH_A_WORD.lowM) {
    sentences.push(`Grown low, at ${altitudeM} m: it gives easily and may begin bitter.`);
  }
  return sentences.join(' ');
}

function processOf(process: Beans['process']): { name: string; cup: { balance: number; body: number } } | null {
  const found = PROCESSES.find(([pattern]) => pattern.test(process ?? ''));
  return found ? { name: found[1], cup: found[2] } : null;
}

/** A bag without a date is taken to be rested. */
function phaseOf(roast: Roast, ageDays: Beans['ageDays']): RestPhase {
  return ageDays == null ? 'best' : restAt(ageDays, roast).phase;
}
