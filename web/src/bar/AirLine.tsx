import { plainNumber } from '@olvet/core';
import type { DayAirView } from '../app/api';
import { temperatureNumber } from '../parts/format';
import { useTemperatureUnit } from '../parts/temperature';
import styles from './DayStrip.module.css';
import type { HourScale } from './hoursOfDay';

/** Damp by the hour under the shots, on a scale of so many points at least: less no shot feels. */
const LEAST_POINTS = 20;

/** The air of the room under the day's shots: from, to, and the way between. */
export function AirLine({ air, scale }: { air: readonly DayAirView[]; scale: HourScale }) {
  const unit = useTemperatureUnit();
  const damp = air.flatMap(({ at, humidityPercent }) =>
    humidityPercent === null ? [] : [{ x: scale.x(Date.parse(at)), humidityPercent }],
  );
  const warm = air.flatMap(({ celsius }) => (celsius === null ? [] : [celsius]));
  if (damp.length + warm.length === 0) return null;
  const values = damp.map(({ humidityPercent }) => humidityPercent);
  const middle = (Math.max(...values) + Math.min(...values)) / 2;
  const half = Math.max(LEAST_POINTS, Math.max(...values) - Math.min(...values)) / 2;
  const y = (value: number): number => 13 - (11 * (value - middle)) / half;
  return (
    <div className={styles.air}>
      {damp.length > 1 && (
        <svg viewBox="0 0 100 26" preserveAspectRatio="none" aria-hidden>
          <polyline
            points={damp.map(({ x, humidityPercent }) => `${x},${y(humidityPercent)}`).join(' ')}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      )}
      <p>
        {values.length > 0 && `humidity ${fromTo(values.map((value) => plainNumber(value, 0)))} %`}
        {values.length > 0 && warm.length > 0 && ' · '}
        {warm.length > 0 && `room ${fromTo(warm.map((celsius) => temperatureNumber(celsius, unit)))} °${unit}`}
      </p>
    </div>
  );
}

function fromTo(values: readonly string[]): string {
  const [first, last] = [values[0]!, values.at(-1)!];
  return first === last ? first : `${first} → ${last}`;
}
