import type { SeenDto } from '../app/api';
import styles from './BasketClock.module.css';

/** The basket seen from below as a clock face; a dot where something was seen. */
export function BasketClock({ seen, size = 38 }: { seen: SeenDto[]; size?: number }) {
  const at = (hour: number, radius: number): [number, number] => {
    const angle = (hour / 12) * 2 * Math.PI;
    return [20 + radius * Math.sin(angle), 20 - radius * Math.cos(angle)];
  };
  return (
    <svg width={size} height={size} viewBox="0 0 40 40" className={styles.clock} aria-hidden>
      <circle cx="20" cy="20" r="18" className={styles.rim} />
      {[12, 3, 6, 9].map((hour) => {
        const [x1, y1] = at(hour, 18);
        const [x2, y2] = at(hour, 14);
        return <line key={hour} x1={x1} y1={y1} x2={x2} y2={y2} className={styles.rim} />;
      })}
      {seen.map(({ sign, clock }) => {
        if (clock == null) return null;
        const [cx, cy] = at(clock, 10);
        return sign === 'dead-spots' ? (
          <circle key={sign + clock} cx={cx} cy={cy} r="4" className={styles.dead} />
        ) : (
          <circle key={sign + clock} cx={cx} cy={cy} r="4" className={styles.spurt} />
        );
      })}
    </svg>
  );
}
