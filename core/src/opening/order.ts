export interface StationToOpen {
  id: string;
  /** When its machine is hot, ms since the epoch; null while it is off. */
  hotAt: number | null;
  /** Shots it pours on an ordinary day. */
  shotsPerDay: number;
  /** Spread of ln time this morning: how far it may have wandered overnight. */
  doubt: number;
}

export interface OpeningTurn {
  id: string;
  reason: string;
}

/**
 * In which order to dial in: what is hot first; then what pours most, because most guests wait for it; among equals the
 * least certain, because it takes longest. Machines still off come last.
 */
export function openingOrder(stations: readonly StationToOpen[], now: number): OpeningTurn[] {
  const sorted = [...stations].sort(
    (a, b) => waitFor(a, now) - waitFor(b, now) || b.shotsPerDay - a.shotsPerDay || b.doubt - a.doubt,
  );
  return sorted.map((station, i) => ({ id: station.id, reason: reasonFor(station, sorted[i + 1], now) }));
}

/** Minutes until hot; five minutes more or less make no order. */
function waitFor({ hotAt }: StationToOpen, now: number): number {
  if (hotAt === null) return Infinity;
  return Math.max(0, Math.ceil((hotAt - now) / 300_000));
}

function reasonFor(station: StationToOpen, next: StationToOpen | undefined, now: number): string {
  if (station.hotAt === null) return 'Its machine is still off.';
  if (next === undefined) return waitFor(station, now) > 0 ? 'Hot last.' : 'It pours least.';
  if (waitFor(station, now) < waitFor(next, now)) return waitFor(station, now) === 0 ? 'Hot already.' : 'Hot first.';
  if (station.shotsPerDay > next.shotsPerDay) return 'Most guests wait for it.';
  return 'It may have wandered furthest overnight.';
}
