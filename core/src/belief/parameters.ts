/**
 * Parameters of the response model, as one flat vector so that inference is plain linear algebra. Those that must be
 * positive are kept as logarithms. See docs/model.md for the meaning and source of every prior.
 */
export const P = {
  /** ln puck seconds per gram at the reference settings. */
  logPuck: 0,
  /** ln of the change in logPuck for one unit finer. */
  logSlope: 1,
  /** Pump on → first drip at the window's middle, s. */
  lead: 2,
  /** Exponent of dose in the puck's resistance. */
  doseExponent: 3,
  /** Balance and body at the window's middle with target ratio and temperature. */
  balanceAtCentre: 4,
  bodyAtCentre: 5,
  /** ln of balance gained per unit of log time from grind. */
  logBalanceGrind: 6,
  /** ln of the same per unit of log ratio, over that from grind: who tastes one lever keenly tastes all keenly. */
  logRatioToGrind: 7,
  /** ln of the log time by grind that gives as much to the cup as one °C. */
  logHeatToGrind: 8,
  /** Body gained per unit of log time from grind; ln of body lost per unit of log ratio. */
  bodyGrind: 9,
  logBodyRatio: 10,
  /** Overall and sweetness of a perfect shot and ln of what a unit of distance costs. */
  overallBest: 11,
  logOverallLoss: 12,
  sweetBest: 13,
  logSweetLoss: 14,
} as const;
export const PARAMETERS = 15;
