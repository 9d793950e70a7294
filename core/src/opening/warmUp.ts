/** Usual minutes until a group is really hot, by the number of groups: a ready light is not a hot group. */
export function usualWarmUpMinutes(groups: number): number {
  return groups <= 1 ? 20 : 40;
}

export interface WarmUp {
  /** ms since the epoch. */
  hotAt: number;
  minutesLeft: number;
  isHot: boolean;
  /** 0–1. */
  share: number;
}

/** Where a machine stands on its way to hot. Instants in ms since the epoch. */
export function warmUpAt(input: { switchedOnAt: number; warmUpMinutes: number; now: number }): WarmUp {
  const { switchedOnAt, warmUpMinutes, now } = input;
  const hotAt = switchedOnAt + warmUpMinutes * 60_000;
  const left = Math.max(0, hotAt - now);
  const share = warmUpMinutes <= 0 ? 1 : Math.min(1, Math.max(0, (now - switchedOnAt) / (warmUpMinutes * 60_000)));
  return { hotAt, minutesLeft: Math.ceil(left / 60_000), isHot: left === 0, share };
}
