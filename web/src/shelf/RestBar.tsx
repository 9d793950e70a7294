import type { Rest } from '@olvet/core';
import { day } from '../parts/format';
import styles from './RestBar.module.css';

export const PHASE_WORDS = {
  'too-fresh': 'too fresh',
  settling: 'settling',
  best: 'at its best',
  fading: 'fading',
  past: 'past its best',
} as const;

/** Where a bag stands between too fresh and past it: the band of its roast, and today. */
export function RestBar({ rest, large = false }: { rest: Rest; large?: boolean }) {
  const { band, ageDays, phase, bestFrom, bestUntil } = rest;
  const end = Math.max(band.pastDay, ageDays) * 1.04;
  const at = (days: number): string => `${Math.min(100, (100 * days) / end)}%`;
  const summary = `${ageDays} days of age, ${PHASE_WORDS[phase]}; best from day ${band.bestFromDay} to ${band.bestUntilDay}`;
  return (
    <div className={large ? styles.large : styles.small}>
      <div className={styles.track} role="img" aria-label={summary}>
        <span
          className={styles.settles}
          style={{ left: at(band.settlesDay), right: `calc(100% - ${at(band.bestFromDay)})` }}
        />
        <span
          className={styles.best}
          style={{ left: at(band.bestFromDay), right: `calc(100% - ${at(band.bestUntilDay)})` }}
        />
        <span className={styles.today} style={{ left: at(ageDays) }} />
      </div>
      {large && (
        <div className={styles.scale} aria-hidden>
          {[band.bestFromDay, band.bestUntilDay, band.pastDay].map((days) => (
            <span key={days} style={{ left: at(days) }}>
              day {days}
            </span>
          ))}
        </div>
      )}
      <p className={large ? '' : 'small'}>
        <strong>{PHASE_WORDS[phase]}</strong>
        {bestFrom && ageDays < band.bestFromDay && <span className="quiet">, best from {day(bestFrom)}</span>}
        {bestUntil && phase === 'best' && <span className="quiet"> until {day(bestUntil)}</span>}
        {!bestFrom && <span className="quiet">, frozen</span>}
      </p>
      {large && <p className="quiet">{rest.reason}</p>}
    </div>
  );
}
