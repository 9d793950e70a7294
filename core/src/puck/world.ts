/**
 * Everything the simulated puck needs to know. These are properties of a made-up world, hidden from the advice.
 * Masses g, times s, pressure bar, lengths µm, temperatures °C.
 */
export interface PuckWorld {
  coffee: {
    /** Largest share of the dose water can dissolve; 0.26 (light, dense) to 0.32 (dark, brittle). */
    solubleShare: number;
    /** Extraction yield, %, at which this coffee is neither sour nor bitter. */
    sweetSpotPercent: number;
    /** Strength (TDS %) whose body feels right. */
    bodyTdsPercent: number;
    /** Multiplies bed resistance: age, density, roast. 1 = ordinary. */
    resistance: number;
    /** Multiplies the diffusion rate from the grain's core; dense beans are slower. */
    diffusion: number;
  };
  grinder: {
    /** Grain size at setting zero and its change for one unit of the scale towards coarser. */
    micronsAtZero: number;
    micronsPerUnit: number;
    /** Curvature of the scale: extra µm per squared unit (0 = even collar). */
    bend: number;
    /** +1 when higher numbers are coarser, −1 when they are finer. */
    coarserSign: 1 | -1;
    /** Share of fines at 250 µm; rises as the grind gets finer. */
    finesShare: number;
    /** Old grounds left behind after a change, as a share of the next dose when nobody purges. */
    retainedShare: number;
  };
  machine: {
    pumpBar: number;
    /** The pump gives no more than this, ml/s. */
    pumpMaxMlPerSecond: number;
    /** Group temperature minus what the display says. */
    temperatureOffsetC: number;
    /** Low-flow soak before the pump, s and ml/s; 0 where there is none. */
    preBrewSeconds: number;
    preBrewMlPerSecond: number;
  };
  basket: { nominalGrams: number };
  /** How the bed itself behaves; differs between worlds so that no fixed law fits all. */
  bed: {
    /** Resistance ∝ size^−sizeExponent; 2 is Kozeny–Carman, fines raise it. */
    sizeExponent: number;
    /** Resistance ∝ dose^doseExponent. */
    doseExponent: number;
    /** Share of the resistance lost by the time the coffee has given what it gives. */
    relaxation: number;
  };
  /** Who tastes: how chemistry becomes points, and how people mark what they like. */
  tongue: {
    /** Extraction yield, %, that is one point of balance. */
    percentPerPoint: number;
    /** Points of body for one unit of ln strength. */
    bodyPoints: number;
    /** Marks for a perfect cup, 0–10, and what each point away from it costs. */
    overallBest: number;
    overallLoss: number;
    sweetBest: number;
    sweetLoss: number;
  };
}

/** A plain world: one everyday grinder, pump machine and medium roast, about 28 s for 18 → 36 g at grind 12. */
export const PLAIN_WORLD: PuckWorld = {
  coffee: { solubleShare: 0.29, sweetSpotPercent: 19.4, bodyTdsPercent: 9.7, resistance: 1, diffusion: 1 },
  grinder: {
    micronsAtZero: 168,
    micronsPerUnit: 9,
    bend: 0,
    coarserSign: 1,
    finesShare: 0.14,
    retainedShare: 0.3,
  },
  machine: {
    pumpBar: 9,
    pumpMaxMlPerSecond: 6,
    temperatureOffsetC: 0,
    preBrewSeconds: 0,
    preBrewMlPerSecond: 1.6,
  },
  basket: { nominalGrams: 18 },
  bed: { sizeExponent: 2.4, doseExponent: 1.4, relaxation: 0.4 },
  tongue: { percentPerPoint: 1.5, bodyPoints: 6, overallBest: 8.3, overallLoss: 1.5, sweetBest: 7.5, sweetLoss: 1.5 },
};
