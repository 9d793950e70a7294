import { plainNumber } from '@olvet/core';
import { Button, Switch } from 'antd';
import { useEffect, useRef } from 'react';
import { soundSet } from '../app/settingsSlice';
import { useAppDispatch, useAppSelector } from '../app/store';
import { Phases } from './Phases';
import styles from './PullPanel.module.css';
import { useCue } from './useCue';
import type { PullHandle } from './usePull';

/** While it runs there is one thing to hit. */
const LARGE = { height: 84, fontSize: 26 };

/** Seconds, grams and flow, large, and the one button that matters. */
export function PullClock({ handle, timerWords }: { handle: PullHandle; timerWords: string }) {
  const { trace, isRunning, isOver, scale, toggle } = handle;
  const cue = useCue(handle);
  const dispatch = useAppDispatch();
  const sound = useAppSelector((state) => state.settings.sound);
  /** Over, and not to be begun again by a slip: its figures are there. */
  const isWeighed = isOver && handle.pull.seen.length > 0;
  const hasGrams = scale !== null && (isRunning || isOver);
  return (
    <div className={styles.clock}>
      <div className={styles.numerals}>
        <div>
          <p className="quiet">s {timerWords}</p>
          <Seconds handle={handle} />
        </div>
        {hasGrams && (
          <div>
            <p className="quiet">grams</p>
            <p className={`numeral ${styles.seconds}`}>{(trace?.grams ?? 0).toFixed(1)}</p>
          </div>
        )}
        {hasGrams && isRunning && (
          <div>
            <p className="quiet">g/s</p>
            <p className={`numeral ${styles.flow}`}>{(trace?.flowGramsPerSecond ?? 0).toFixed(1)}</p>
          </div>
        )}
      </div>
      {!isWeighed && (
        <Button
          type="primary"
          size="large"
          block
          style={isRunning ? LARGE : undefined}
          aria-live="polite"
          onClick={toggle}
        >
          {buttonWord(isRunning, cue)} <kbd>Space</kbd>
        </Button>
      )}
      {(isRunning || isOver) && <Phases handle={handle} />}
      <p className={styles.caution}>Cup and hands clear of the spout. Never unlock under pressure.</p>
      {scale && (
        <p className={`quiet small ${styles.sound}`}>
          <label>
            <Switch size="small" checked={sound} onChange={(on) => dispatch(soundSet(on))} /> tone at the stop
          </label>
          <span>
            {scale.name}
            {scale.isSimulated ? ', simulated' : ''}
            {handle.learned.drip ? ` · ${plainNumber(handle.learned.drip.grams.mean, 1)} g drip after the stop` : ''}
          </span>
        </p>
      )}
    </div>
  );
}

/** Tenths, past the rest of the panel. */
const SHOWN_EVERY_MS = 50;

function Seconds({ handle }: { handle: PullHandle }) {
  const { fine, seconds, sinceStart, isRunning } = handle;
  const shown = useRef<HTMLParagraphElement>(null);
  /** The timer may have begun later than the shot. */
  const behind = sinceStart - seconds;
  useEffect(() => {
    const show = (): void => {
      const now = isRunning
        ? Math.max(0, fine().seconds - (seconds > 0 || sinceStart === 0 ? behind : Infinity))
        : seconds;
      if (shown.current) shown.current.textContent = now.toFixed(1);
    };
    show();
    if (!isRunning) return;
    const showing = setInterval(show, SHOWN_EVERY_MS);
    return () => clearInterval(showing);
  }, [fine, seconds, sinceStart, behind, isRunning]);
  return <p ref={shown} className={`numeral ${styles.seconds}`} role="timer" aria-live="off" />;
}

function buttonWord(isRunning: boolean, cue: ReturnType<typeof useCue>): string {
  if (!isRunning) return 'Start';
  if (cue?.is === 'stop') return 'Stop now';
  return cue ? `Stop in ${cue.seconds}` : 'Stop';
}
