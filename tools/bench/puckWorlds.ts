import { drawBetween, idealShot, pullShot, type PuckWorld, type Random } from '../../core/src/index';
import type { HiddenWorld } from './hiddenWorld';

/** A world of the mechanistic simulator. */
export function puckWorld(world: PuckWorld): HiddenWorld {
  return {
    coarserSign: world.grinder.coarserSign,
    ideal: (settings, drift) => {
      const { puck, taste } = idealShot(drifted(world, drift), settings);
      return { ...puck, taste };
    },
    pull: (input) => pullShot({ ...input, world }),
  };
}

function drifted(world: PuckWorld, drift: number): PuckWorld {
  return { ...world, coffee: { ...world.coffee, resistance: world.coffee.resistance * drift } };
}

/** Three kinds of physics beside the plain one; `held-out` worlds are drawn from wider ranges than the others. */
export function drawPuckWorld(random: Random, wider: boolean, nominalGrams: number): PuckWorld {
  const wide = wider ? 1.5 : 1;
  const spread = (middle: number, by: number): number => drawBetween(random, middle - by * wide, middle + by * wide);
  const micronsPerUnit = Math.exp(spread(Math.log(9), 0.5));
  const finerIsHigher = random() < 0.3;
  return {
    coffee: {
      solubleShare: spread(0.29, 0.012),
      sweetSpotPercent: spread(19, 0.9),
      bodyTdsPercent: spread(9.4, 0.6),
      resistance: Math.exp(spread(0, 0.15)),
      diffusion: Math.exp(spread(0, 0.08)),
    },
    grinder: {
      micronsPerUnit,
      // Espresso lies somewhere on a scale of forty units.
      micronsAtZero: finerIsHigher
        ? 276 + micronsPerUnit * drawBetween(random, 18, 28)
        : 276 - micronsPerUnit * drawBetween(random, 8, 16),
      bend: random() < 0.4 ? spread(0, 0.12) : 0,
      coarserSign: finerIsHigher ? -1 : 1,
      finesShare: spread(0.14, 0.04),
      retainedShare: drawBetween(random, 0.2, 0.45),
    },
    machine: {
      pumpBar: spread(9, 0.7),
      pumpMaxMlPerSecond: spread(6, 1.2),
      temperatureOffsetC: spread(0, 1),
      preBrewSeconds: 0,
      preBrewMlPerSecond: 1.6,
    },
    basket: { nominalGrams },
    bed: { sizeExponent: spread(2.4, 0.5), doseExponent: spread(1.5, 0.4), relaxation: spread(0.4, 0.12) },
    tongue: {
      percentPerPoint: Math.exp(spread(Math.log(1.5), 0.2)),
      bodyPoints: Math.exp(spread(Math.log(6), 0.2)),
      // People use a scale of ten differently: some never give a nine, some give little else.
      overallBest: Math.min(9.8, spread(8.3, 0.9)),
      overallLoss: Math.exp(spread(Math.log(1.5), 0.35)),
      sweetBest: Math.min(9.8, spread(7.5, 1)),
      sweetLoss: Math.exp(spread(Math.log(1.5), 0.35)),
    },
  };
}

/** A long soak extracts more; coffees are served this way that want it. */
export function soaking(world: PuckWorld): PuckWorld {
  return {
    ...world,
    machine: { ...world.machine, preBrewSeconds: 20 },
    coffee: {
      ...world.coffee,
      sweetSpotPercent: world.coffee.sweetSpotPercent + 1.6,
      bodyTdsPercent: 1.06 * world.coffee.bodyTdsPercent,
    },
  };
}

/** Light roasts give less and slower, and taste right at a higher extraction. */
export function light(world: PuckWorld): PuckWorld {
  return {
    ...world,
    coffee: {
      ...world.coffee,
      diffusion: 0.92 * world.coffee.diffusion,
      sweetSpotPercent: world.coffee.sweetSpotPercent + 1,
      bodyTdsPercent: 0.88 * world.coffee.bodyTdsPercent,
    },
  };
}
