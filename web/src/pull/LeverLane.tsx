import { EASED_GRAMS, leverPlan, leverWindow, plainNumber, RESCUE_WORDS } from '@olvet/core';
import { useRef, type PointerEvent } from 'react';
import { boxScale, pressureOf, polyline } from './boxScale';
import { leverNow, rescueOf } from './leverNow';
import styles from './LeverLane.module.css';
import { markAt } from './livePull';
import type { PullSubject } from './subject';
import { useSize } from './useSize';
import type { PullHandle } from './usePull';

/** Once it is over, its figures need the room. */
const HEIGHT = { pulled: 210, over: 140 };
const MOST_BAR = 10;
const BARS = [0, 2, 4, 6, 8, 10];
/** A hand's pressure is told five times a second. */
const TOLD_EVERY_MS = 200;

/** Pressure against the plan: touch, soak until covered, ramp, hold, ease. */
export function LeverLane({ handle, subject }: { handle: PullHandle; subject: PullSubject }) {
  const [{ width }, frame] = useSize();
  const { pull, trace, sinceStart, machine, ask, isRunning } = handle;
  const height = handle.isOver ? HEIGHT.over : HEIGHT.pulled;
  const { settings, timeSeconds } = pull.plan;
  const landSeconds = trace?.landing?.timeSeconds.mean ?? (timeSeconds.min + timeSeconds.max) / 2;
  const flow = Math.max(trace?.flowGramsPerSecond ?? 0, settings.yieldGrams / landSeconds / 1.5);
  const plan = leverPlan({
    coverSeconds: markAt(pull, 'covered'),
    easeSeconds: landSeconds - EASED_GRAMS / flow,
    landSeconds,
  });
  const box = boxScale({ width, height }, pull.plan, { seconds: sinceStart, grams: 0 });
  const { x } = box;
  const y = (bar: number): number => 12 + ((height - 44) * (MOST_BAR - bar)) / MOST_BAR;
  const path = pressureOf(pull);
  const told = useRef(0);
  const canDrag = isRunning || pull.startedAt === null ? (machine?.capabilities.includes('lever') ?? false) : false;
  const drag = (event: PointerEvent<SVGSVGElement>): void => {
    if (!canDrag || event.buttons === 0 || event.timeStamp - told.current < TOLD_EVERY_MS) return;
    told.current = event.timeStamp;
    const { top } = event.currentTarget.getBoundingClientRect();
    const bar = MOST_BAR - ((event.clientY - top - 12) * MOST_BAR) / (height - 44);
    ask('lever', Math.min(MOST_BAR, Math.max(0, Math.round(10 * bar) / 10)));
  };
  const now = leverNow(handle);
  return (
    <figure ref={frame} className={styles.lane}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Pressure against its plan: ${now.bar === null ? 'not measured' : `${plainNumber(now.bar, 1)} bar`}`}
        className={canDrag ? styles.draggable : ''}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          told.current = 0;
          drag(event);
        }}
        onPointerMove={drag}
      >
        {BARS.map((bar) => (
          <g key={bar} className={styles.axis}>
            <line x1={x(0)} x2={x(box.mostSeconds)} y1={y(bar)} y2={y(bar)} />
            <text x={x(0) - 8} y={y(bar) + 5} textAnchor="end">
              {bar === MOST_BAR ? `${bar} bar` : bar}
            </text>
          </g>
        ))}
        <polyline className={styles.plan} points={polyline(plan.map(({ seconds, bar }) => [x(seconds), y(bar)]))} />
        <text className={styles.word} x={x(plan[1]!.seconds)} y={y(0) + 18}>
          touch, soak until covered
        </text>
        <text className={styles.word} x={x(plan[3]!.seconds) + 6} y={y(8) - 8}>
          hold 7–8
        </text>
        <text className={styles.word} x={x(plan.at(-1)!.seconds) - 6} y={y(8) - 8} textAnchor="end">
          ease, last {EASED_GRAMS} g
        </text>
        <polyline className={styles.path} points={polyline(path.map(({ seconds, bar }) => [x(seconds), y(bar)]))} />
        {path.length > 0 && isRunning && (
          <circle className={styles.now} cx={x(path.at(-1)!.seconds)} cy={y(path.at(-1)!.bar)} r={7} />
        )}
      </svg>
      <figcaption className="quiet small">
        {subject.basketMm === null
          ? 'Lever'
          : `${plainNumber(subject.basketMm)} mm basket: usually ${leverWindow(subject.basketMm).min}–${leverWindow(subject.basketMm).max} s`}
        {canDrag && ' · drag up and down in the picture: that is the lever of the simulated machine'}. Hot water under
        pressure: never unlock before the gauge reads zero.
      </figcaption>
    </figure>
  );
}

/** The rescue of this moment, as one sentence; once over, what it means for the next grind. */
export function RescueLine({ handle }: { handle: PullHandle }) {
  const rescue = rescueOf(handle);
  if (!rescue) return null;
  const { title, act, next } = RESCUE_WORDS[rescue];
  return (
    <p className={`numeral ${styles.rescue}`} role="status">
      {handle.isOver ? (
        <>
          {title} {next}
        </>
      ) : (
        <>
          <span className={styles.title}>{title}</span> {act} <span className="quiet">{next}</span>
        </>
      )}
    </p>
  );
}
