import type { Believed, Review } from '@olvet/core';
import type { SheetShotView } from '../app/api';

const POINTS = 60;

/** A belief about a slope is log-normal: its density at a share of the time. */
function density({ mean, sd }: Believed, at: number): number {
  const variance = Math.log1p((sd / mean) ** 2);
  const z = (Math.log(at / mean) + variance / 2) ** 2 / variance;
  return Math.exp(-0.5 * z) / (at * Math.sqrt(2 * Math.PI * variance));
}

/** Both beliefs about the slope over one axis in per cent, wide enough for four in five of each. */
export function densities(before: Believed, now: Believed): { percent: number; before: number; now: number }[] {
  const low = Math.max(1e-4, Math.min(before.mean - 1.6 * before.sd, now.mean - 3 * now.sd));
  const high = Math.max(before.mean + 2 * before.sd, now.mean + 3 * now.sd);
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const at = low + ((high - low) * i) / POINTS;
    return { percent: 100 * at, before: density(before, at), now: density(now, at) };
  });
}

const MOST_TICKS = 7;

/** Round figures for the axis of `densities`, so that no two ticks read the same. */
export function percentTicks(points: readonly { percent: number }[]): number[] {
  const [low, high] = [points[0]!.percent, points.at(-1)!.percent];
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50].find((size) => (high - low) / size <= MOST_TICKS) ?? 100;
  const first = Math.ceil(low / step);
  const count = Math.floor(high / step) - first + 1;
  return Array.from({ length: count }, (_, i) => Number(((first + i) * step).toFixed(1)));
}

export interface Forecast {
  number: number;
  range: [number, number];
  seconds: number | null;
  sigmas: number | null;
  surprising: boolean;
}

/** Predicted and measured time of each shot, as a chart wants them. */
export function forecasts(review: Review, shots: readonly SheetShotView[]): Forecast[] {
  return review.shots.map(({ predicted, sigmas, surprising }, i) => ({
    number: i + 1,
    range: [predicted.timeSeconds.p10, predicted.timeSeconds.p90],
    seconds: shots[i]?.timeSeconds ?? null,
    sigmas,
    surprising,
  }));
}
