import { clockTimeOf, plainNumber, type DayEventKind } from '@olvet/core';
import type { JudgedDayView } from '../app/api';
import { OutcomeMark, sideOf } from '../parts/Outcome';
import { useShopHours } from '../parts/useShopHours';
import { AirLine } from './AirLine';
import styles from './DayStrip.module.css';
import strip from './TimeStrip.module.css';
import { hoursOfDay, type HourScale } from './hoursOfDay';

/** As wide as a word of a mark, per cent of the strip. */
const WORD_PERCENT = 14;

const MARK_WORDS: Record<DayEventKind, string> = {
  'bag-opened': 'bag',
  'hopper-filled': 'hopper',
  cleaned: 'cleaned',
  'grind-changed': '',
  'machine-on': 'on',
};

/** Every shot of today against the time its card was found at, by the hour; what happened at the station stands between them. */
export function DayStrip({ day, now }: { day: JudgedDayView; now: number }) {
  const hours = useShopHours();
  const { shots, marks, foundSeconds, toleranceSeconds } = day;
  const [least, most] = [foundSeconds - toleranceSeconds, foundSeconds + toleranceSeconds];
  const low = Math.min(least - 3, ...shots.map(({ timeSeconds }) => timeSeconds - 1));
  const high = Math.max(most + 3, ...shots.map(({ timeSeconds }) => timeSeconds + 1));
  const up = (seconds: number): number => (100 * (seconds - low)) / (high - low);
  const scale = hoursOfDay([...shots.map(({ pulledAt }) => Date.parse(pulledAt)), now], hours);
  return (
    <figure className={styles.day}>
      <div className={strip.strip} role="img" aria-label={inWords(day)}>
        <div className={styles.band} style={{ bottom: `${up(least)}%`, height: `${up(most) - up(least)}%` }} />
        <div className={styles.found} style={{ bottom: `${up(foundSeconds)}%` }} />
        {[most, least].map((edge) => (
          <span key={edge} className={styles.edge} style={{ bottom: `${up(edge)}%` }}>
            {plainNumber(edge, 1)}
          </span>
        ))}
        {marks.map(({ at, kind, grind }, i) => (
          <span key={`${kind} ${at}`} className={styles.mark} style={{ left: `${scale.x(Date.parse(at))}%` }}>
            {hasRoom(marks, i, scale) && (grind === null ? MARK_WORDS[kind] : `to ${plainNumber(grind)}`)}
          </span>
        ))}
        {shots.map(({ id, timeSeconds, pulledAt, kind, isSpoilt }) => (
          <span
            key={id}
            className={`${strip.dot} ${kind === 'check' ? styles.check : ''} ${isSpoilt ? styles.spoilt : ''}`}
            title={`${plainNumber(timeSeconds, 1)} s at ${clockTimeOf(new Date(pulledAt), hours)}`}
            style={{ left: `${scale.x(Date.parse(pulledAt))}%`, bottom: `${up(timeSeconds)}%` }}
          >
            <OutcomeMark side={sideOf(timeSeconds, least, most)} size={11} />
          </span>
        ))}
      </div>
      <Hours scale={scale} />
      <AirLine air={day.air} scale={scale} />
    </figure>
  );
}

/** Words of marks close by would run into each other: the last of them speaks. */
function hasRoom(marks: JudgedDayView['marks'], i: number, scale: HourScale): boolean {
  const next = marks[i + 1];
  return !next || scale.x(Date.parse(next.at)) - scale.x(Date.parse(marks[i]!.at)) >= WORD_PERCENT;
}

function Hours({ scale }: { scale: HourScale }) {
  return (
    <div className={styles.hours} aria-hidden>
      {scale.hours.map(({ at, word }) => (
        <span key={at} style={{ left: `${scale.x(at)}%` }}>
          {word}
        </span>
      ))}
    </div>
  );
}

function inWords({ shots, foundSeconds, toleranceSeconds }: JudgedDayView): string {
  const within = shots.filter(({ timeSeconds }) => Math.abs(timeSeconds - foundSeconds) <= toleranceSeconds).length;
  const found = `${plainNumber(foundSeconds, 1)} s`;
  return `Today’s shots against ${found}: ${within} of ${shots.length} within ${plainNumber(toleranceSeconds)} s.`;
}
