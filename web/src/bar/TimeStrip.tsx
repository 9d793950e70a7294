import type { BoardShotView, SecondsWindowDto } from '../app/api';
import { dayAndTime } from '../parts/format';
import { OutcomeMark, sideOf } from '../parts/Outcome';
import styles from './TimeStrip.module.css';

/** The last shots against their window, oldest left. */
export function TimeStrip({ shots, windowSeconds }: { shots: BoardShotView[]; windowSeconds: SecondsWindowDto }) {
  const timed = shots.flatMap((shot) => (shot.timeSeconds == null ? [] : [{ ...shot, seconds: shot.timeSeconds }]));
  if (timed.length === 0) return <p className="quiet small">The last shots will stand here, against their window.</p>;
  const { min, max } = windowSeconds;
  const low = Math.min(min - 4, ...timed.map(({ seconds }) => seconds - 1));
  const high = Math.max(max + 4, ...timed.map(({ seconds }) => seconds + 1));
  const up = (seconds: number): number => (100 * (seconds - low)) / (high - low);
  const summary = timed.map(({ seconds }) => seconds).join(', ');
  return (
    <div className={styles.strip} role="img" aria-label={`Last shots, seconds: ${summary}. Window ${min} to ${max}.`}>
      <div className={styles.band} style={{ bottom: `${up(min)}%`, height: `${up(max) - up(min)}%` }} />
      <span className={styles.edge} style={{ bottom: `${up(max)}%` }}>
        {max} s
      </span>
      <span className={styles.edge} style={{ bottom: `${up(min)}%` }}>
        {min} s
      </span>
      <svg className={styles.line} viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden>
        <polyline
          points={timed.map(({ seconds }, i) => `${(90 * (i + 0.5)) / timed.length},${100 - up(seconds)}`).join(' ')}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {timed.map(({ id, seconds, pulledAt }, i) => (
        <span
          key={id}
          className={styles.dot}
          title={`${seconds} s, ${dayAndTime(pulledAt)}`}
          style={{ left: `${(90 * (i + 0.5)) / timed.length}%`, bottom: `${up(seconds)}%` }}
        >
          <OutcomeMark side={sideOf(seconds, min, max)} size={15} />
        </span>
      ))}
    </div>
  );
}
