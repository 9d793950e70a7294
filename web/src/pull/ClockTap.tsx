import { Button } from 'antd';
import styles from './ClockTap.module.css';

/** Centre of an hour's field, in per cent of the face. */
function place(hour: number): { left: string; top: string } {
  const angle = (hour / 12) * 2 * Math.PI;
  return { left: `${50 + 40 * Math.sin(angle)}%`, top: `${50 - 40 * Math.cos(angle)}%` };
}

/** The basket seen from below as a clock face, large enough for a wet finger: tap the hour. */
export function ClockTap({
  label,
  onHour,
  onCancel,
}: {
  label: string;
  onHour: (hour: number) => void;
  onCancel: () => void;
}) {
  return (
    <div className={styles.field} role="group" aria-label={`${label}: where, basket from below`}>
      <div className={styles.face}>
        {Array.from({ length: 12 }, (_, i) => i + 1).map((hour) => (
          <button
            key={hour}
            type="button"
            className={`numeral ${styles.hour}`}
            style={place(hour)}
            aria-label={`${label} at ${hour} o’clock`}
            onClick={() => onHour(hour)}
          >
            {hour}
          </button>
        ))}
        <span className={styles.middle}>
          {label}
          <span className="quiet small">from below</span>
        </span>
      </div>
      <Button size="large" type="text" onClick={onCancel}>
        Not this
      </Button>
    </div>
  );
}
