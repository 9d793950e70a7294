import { GLASS_SD_GRAMS, STRIKE_SD_GRAMS } from '../dose/headspace';
import type { AdviceShot, ValidAdviceRequest } from '../contract/request';
import { gasScatter } from './beans';

/** What measuring by eye, and a fresh coffee's gas, add: as a share of the time, and on the balance and body scales. */
export interface Hand {
  time: number;
  taste: number;
  /** Doses or yields are not weighed. */
  isByEye: boolean;
}

/** Scatter of what nobody measured: a hand levels a dose as one that strikes it does, and stops a cup as one that reads a glass. */
const UNMEASURED_SD_GRAMS = { doseGrams: STRIKE_SD_GRAMS, yieldGrams: GLASS_SD_GRAMS } as const;

type Scattering = keyof typeof UNMEASURED_SD_GRAMS;
const FIGURES = ['doseGrams', 'yieldGrams'] as const;

/** How this bar measures as a rule. */
export function handOf(request: ValidAdviceRequest): Hand {
  const { measuring } = request;
  return handFrom(request, { doseGrams: measuring?.doseSdGrams ?? 0, yieldGrams: measuring?.yieldSdGrams ?? 0 });
}

/** The same for one shot: what was assumed of it, or never said, scatters as a hand does. */
export function handOfShot(request: ValidAdviceRequest, usual: Hand, shot: AdviceShot): Hand {
  const isWeighed: Record<Scattering, boolean> = {
    doseGrams: shot.doseGrams != null || shot.grindSeconds != null,
    yieldGrams: shot.yieldGrams != null,
  };
  const unmeasured = FIGURES.filter((figure) => !isWeighed[figure] || shot.assumed?.includes(figure));
  if (unmeasured.length === 0) return usual;
  const { measuring } = request;
  const sdOf = (figure: Scattering, measured: number | null | undefined): number =>
    Math.max(measured ?? 0, unmeasured.includes(figure) ? UNMEASURED_SD_GRAMS[figure] : 0);
  return handFrom(request, {
    doseGrams: sdOf('doseGrams', measuring?.doseSdGrams),
    yieldGrams: sdOf('yieldGrams', measuring?.yieldSdGrams),
  });
}

/** By Darcy the time goes with the dose's square in the puck, about three quarters of the whole, and with the yield. */
function handFrom({ target, coffee }: ValidAdviceRequest, sdGrams: Record<Scattering, number>): Hand {
  const dose = sdGrams.doseGrams / target.doseGrams;
  const poured = sdGrams.yieldGrams / target.yieldGrams;
  // Log ratio scatters by both; balance answers to it by about 5.5.
  return {
    time: Math.sqrt((1.5 * dose) ** 2 + (0.92 * poured) ** 2 + gasScatter(coffee) ** 2),
    taste: 5.5 * Math.sqrt(dose ** 2 + poured ** 2),
    isByEye: dose > 0 || poured > 0,
  };
}
