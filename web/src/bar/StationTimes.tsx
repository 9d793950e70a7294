import type { BoardStationView } from '../app/api';
import { useNow } from '../parts/useNow';
import { DayStrip } from './DayStrip';
import { TimeStrip } from './TimeStrip';

/** Today against the found time of the card; before its first shot, or without such a card, the last shots against the window. */
export function StationTimes({ standing: { day, shots, station } }: { standing: BoardStationView }) {
  const now = useNow(60_000);
  if (day && day.shots.length > 0) return <DayStrip day={day} now={now} />;
  return <TimeStrip shots={shots} windowSeconds={station.target.timeSeconds} />;
}
