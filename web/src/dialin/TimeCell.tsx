import { oddsInWords, plainNumber, type Expectation } from '@olvet/core';
import type { SheetShotView, SheetView } from '../app/api';
import { OutcomeMark, outcomeClass, sideOf } from '../parts/Outcome';
import sheetStyles from './RunSheet.module.css';
import styles from './TimeCell.module.css';

/** Seconds → per cent of the row's height, the same for every column. */
export interface TimeScale {
  low: number;
  high: number;
  min: number;
  max: number;
}

export function timeScale(sheet: SheetView, expect: Expectation | null): TimeScale {
  const { min, max } = sheet.run.target.timeSeconds;
  const seconds = [
    min - 4,
    max + 4,
    ...sheet.shots.flatMap((shot) => (shot.timeSeconds == null ? [] : [shot.timeSeconds - 2, shot.timeSeconds + 2])),
    ...(expect ? [expect.timeSeconds.p10 - 1, expect.timeSeconds.p90 + 1] : []),
  ];
  // A stray shot of a minute must not flatten all others.
  return { min, max, low: Math.max(min - 20, Math.min(...seconds)), high: Math.min(max + 25, Math.max(...seconds)) };
}

function height(scale: TimeScale, seconds: number): number {
  return Math.min(96, Math.max(4, (100 * (seconds - scale.low)) / (scale.high - scale.low)));
}

/** The same for large figures, which are as tall as a quarter of the row and must not run into the next one. */
function figureHeight(scale: TimeScale, seconds: number): number {
  return Math.min(86, Math.max(14, height(scale, seconds)));
}

function Band({ scale }: { scale: TimeScale }) {
  const bottom = height(scale, scale.min);
  return (
    <div className={styles.band} style={{ bottom: `${bottom}%`, height: `${height(scale, scale.max) - bottom}%` }} />
  );
}

/** One shot's time, drawn against the window. */
export function TimeCell({ shot, scale }: { shot: SheetShotView; scale: TimeScale }) {
  const seconds = shot.timeSeconds;
  if (seconds == null) {
    return (
      <td className={styles.cell}>
        <Band scale={scale} />
        <span className={styles.untimed}>not timed</span>
      </td>
    );
  }
  const side = sideOf(seconds, scale.min, scale.max);
  return (
    <td className={styles.cell}>
      <Band scale={scale} />
      <span className={styles.mark} style={{ bottom: `${figureHeight(scale, seconds)}%` }}>
        <OutcomeMark side={side} size={19} />
        <span className={`numeral ${styles.seconds} ${outcomeClass(side)}`}>{plainNumber(seconds, 1)}</span>
      </span>
    </td>
  );
}

/** Where the next shot should land: mean, the range of four in five, and the odds of the window. */
export function GhostTime({ expect, scale }: { expect: Expectation | null; scale: TimeScale }) {
  if (!expect)
    return (
      <td className={`${sheetStyles.next} ${styles.cell}`}>
        <Band scale={scale} />
      </td>
    );
  const { mean, p10, p90 } = expect.timeSeconds;
  const bottom = height(scale, p10);
  return (
    <td className={`${sheetStyles.next} ${styles.cell}`}>
      <Band scale={scale} />
      <div className={styles.interval} style={{ bottom: `${bottom}%`, height: `${height(scale, p90) - bottom}%` }} />
      <span className={styles.ghost} style={{ bottom: `${height(scale, mean)}%` }}>
        <span className={`numeral ${styles.seconds}`}>{plainNumber(mean, 0)}</span>
        <span className={styles.range}>
          {plainNumber(p10, 0)}–{plainNumber(p90, 0)} s
        </span>
      </span>
      {/* Where the figure is not. */}
      <span className={`${styles.odds} ${height(scale, mean) < 50 ? styles.above : styles.below}`}>
        in window {oddsInWords(expect.inWindow)}
      </span>
    </td>
  );
}
