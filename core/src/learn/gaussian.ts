/** A normal belief about one number. */
export interface Normal {
  mean: number;
  sd: number;
}

/** What data alone said of a number: mean and precision (1/variance) of their likelihood. */
export interface Message {
  mean: number;
  precision: number;
}

/** Below this share of the prior's own precision the data said nothing worth keeping. */
const WORTH_KEEPING = 0.02;

/**
 * The data's share of a posterior, by dividing the prior out of it: precisions subtract, precision-weighted means too.
 * @returns null when the data said nothing
 */
export function messageOf(prior: Normal, posterior: Normal): Message | null {
  const before = prior.sd ** -2;
  const precision = posterior.sd ** -2 - before;
  if (!(precision > WORTH_KEEPING * before)) return null;
  return { mean: (posterior.mean / posterior.sd ** 2 - prior.mean * before) / precision, precision };
}

/** Prior times messages: the conjugate closed form. A single message says no more than one of spread `noLessThanSd`. */
export function combine(prior: Normal, messages: readonly Message[], noLessThanSd = 0): Normal {
  let precision = prior.sd ** -2;
  let weighted = prior.mean * precision;
  for (const message of messages) {
    const share = noLessThanSd > 0 ? Math.min(message.precision, noLessThanSd ** -2) : message.precision;
    precision += share;
    weighted += share * message.mean;
  }
  return { mean: weighted / precision, sd: precision ** -0.5 };
}
