import { plainNumber, type PullMark, type TraceAnswer } from '@olvet/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import { boxScale, polyline, rowsOf, targetOf, type BoxScale } from './boxScale';
import { Flight } from './Flight';
import styles from './LandingBox.module.css';
import type { LivePull } from './livePull';
import { MARK_WORDS } from './markWords';
import { useSize } from './useSize';
import type { PullHandle } from './usePull';

export interface LandingBoxProps {
  handle: Pick<PullHandle, 'pull' | 'trace' | 'sinceStart' | 'isRunning' | 'isOver' | 'move' | 'fine'>;
  /** Grams at every second of earlier shots, the oldest first. */
  earlier: (number | null)[][];
  /** The same of the card's own shot. */
  reference?: (number | null)[] | null;
}

/** Weight against seconds: the target is a box, the shot a path that flies towards it. */
export function LandingBox({ handle, earlier, reference = null }: LandingBoxProps) {
  const { pull, trace, sinceStart, isRunning, isOver, move } = handle;
  const [size, frame] = useSize();
  const grams = trace?.grams ?? 0;
  const scale = boxScale(size, pull.plan, { seconds: sinceStart, grams });
  const target = targetOf(pull, trace);
  const { x, y } = scale;
  const now = sinceStart > 0 ? { seconds: sinceStart } : null;
  const landing = isRunning ? (trace?.landing?.timeSeconds ?? null) : null;
  const stop = isRunning ? (trace?.stop ?? null) : null;
  const goal = pull.plan.settings.yieldGrams;
  const stopGrams =
    stop && now ? Math.max(grams, grams + (trace?.flowGramsPerSecond ?? 0) * (stop.atSeconds - now.seconds)) : null;
  const marks = [...pull.marks, ...readMarks(pull, trace)]
    .filter(({ kind }) => MARK_WORDS[kind] !== null)
    .sort((one, other) => one.seconds - other.seconds);
  const rows = rowsOf(
    marks.map((mark) => ({ from: x(mark.seconds), width: CHARACTER_PX * wordsOf(mark).length + 12 })),
  );
  return (
    <figure ref={frame} className={styles.box}>
      <svg width={size.width} height={size.height} role="img" aria-label={inWords(handle)}>
        <Axes scale={scale} />
        {earlier.map((line, i) => (
          <polyline key={i} className={styles.earlier} points={polyline(pointsOf(line, scale))} />
        ))}
        {reference && <Reference line={reference} scale={scale} />}
        <rect
          className={styles.target}
          x={x(target.seconds.min)}
          y={y(target.grams.max)}
          width={x(target.seconds.max) - x(target.seconds.min)}
          height={y(target.grams.min) - y(target.grams.max)}
          rx={4}
        />
        <text
          className={styles.targetWord}
          x={(x(target.seconds.min) + x(target.seconds.max)) / 2}
          y={y(target.grams.max) - 8}
        >
          land here
        </text>
        {now && landing && (
          <>
            <polygon
              className={styles.cone}
              points={polyline([
                [x(now.seconds), y(grams)],
                [x(landing.p10 + target.shift), y(goal)],
                [x(landing.p90 + target.shift), y(goal)],
              ])}
            />
            <line
              className={styles.course}
              x1={x(now.seconds)}
              y1={y(grams)}
              x2={x(landing.mean + target.shift)}
              y2={y(goal)}
            />
          </>
        )}
        {stop && stopGrams !== null && (
          <g className={styles.stop}>
            <line x1={x(stop.atSeconds) - 26} x2={x(stop.atSeconds) + 26} y1={y(stopGrams)} y2={y(stopGrams)} />
            <text x={x(stop.atSeconds) - 32} y={y(stopGrams) + 5}>
              stop
            </text>
          </g>
        )}
        <Flight fine={handle.fine} scale={scale} isRunning={isRunning} />
        {marks.map((mark, i) => (
          <Mark
            key={`${mark.kind} ${i}`}
            mark={mark}
            row={rows[i]!}
            scale={scale}
            onMove={isOver ? (to) => move(mark, to) : null}
          />
        ))}
      </svg>
    </figure>
  );
}

function pointsOf(line: (number | null)[], { x, y }: BoxScale) {
  return line.flatMap((each, second) => (each === null ? [] : [[x(second), y(each)] as const]));
}

/** The card's own shot, pale and dotted; its word stands where no shot flies. */
function Reference({ line, scale }: { line: (number | null)[]; scale: BoxScale }) {
  const { x, y, mostSeconds, mostGrams } = scale;
  const [right, top] = [x(mostSeconds) - 8, y(0.3 * mostGrams)];
  return (
    <g className={styles.reference}>
      <polyline points={polyline(pointsOf(line, scale))} />
      <polyline
        points={polyline([
          [right - 98, top - 5],
          [right - 58, top - 5],
        ])}
      />
      <text x={right} y={top} textAnchor="end">
        the card
      </text>
    </g>
  );
}

function Axes({ scale }: { scale: BoxScale }) {
  const { x, y, mostSeconds, mostGrams, height } = scale;
  const secondsEvery = mostSeconds > 60 ? 10 : 5;
  const seconds = Array.from({ length: Math.floor(mostSeconds / secondsEvery) + 1 }, (_, i) => i * secondsEvery);
  const grams = Array.from({ length: Math.floor(mostGrams / 10) + 1 }, (_, i) => i * 10);
  return (
    <g className={styles.axes}>
      {seconds.map((each) => (
        <g key={each}>
          <line x1={x(each)} x2={x(each)} y1={y(0)} y2={y(mostGrams)} />
          <text x={x(each)} y={height - 12} textAnchor="middle">
            {each === mostSeconds ? `${each} s` : each}
          </text>
        </g>
      ))}
      {grams.map((each) => (
        <g key={each}>
          <line x1={x(0)} x2={x(mostSeconds)} y1={y(each)} y2={y(each)} />
          <text x={x(0) - 8} y={y(each) + 5} textAnchor="end">
            {each === mostGrams ? `${each} g` : each}
          </text>
        </g>
      ))}
    </g>
  );
}

/** A character of the marks, about. */
const CHARACTER_PX = 6.2;

function wordsOf({ kind, clock, seconds }: PullMark): string {
  return `${MARK_WORDS[kind]}${clock ? ` at ${clock},` : ''} ${plainNumber(seconds, 1)} s`;
}

const KEY_STEP_SECONDS = 0.1;

/** A moment on the seconds' axis; once the shot is over it can be put where it belongs. */
function Mark({
  mark,
  row,
  scale,
  onMove,
}: {
  mark: PullMark;
  row: number;
  scale: BoxScale;
  onMove: ((seconds: number) => void) | null;
}) {
  const { x, y, mostSeconds } = scale;
  const at = x(mark.seconds);
  const drag = (event: PointerEvent<SVGGElement>): void => {
    if (!onMove || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const { left, width } = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const seconds = ((event.clientX - left) * (scale.width / width) - x(0)) / (x(1) - x(0));
    onMove(Math.min(mostSeconds, Math.max(0, seconds)));
  };
  const press = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -KEY_STEP_SECONDS, ArrowRight: KEY_STEP_SECONDS }[event.key];
    if (!by || !onMove) return;
    event.preventDefault();
    onMove(Math.max(0, mark.seconds + by));
  };
  const word = MARK_WORDS[mark.kind];
  if (word === null) return null;
  const top = y(0) - 14 - 18 * row;
  return (
    <g
      className={`${styles.mark} ${onMove ? styles.movable : ''}`}
      {...(onMove
        ? {
            tabIndex: 0,
            role: 'slider',
            'aria-label': `${word}, seconds`,
            'aria-valuenow': mark.seconds,
            'aria-valuemin': 0,
            'aria-valuemax': mostSeconds,
            onPointerDown: (event) => event.currentTarget.setPointerCapture(event.pointerId),
            onPointerMove: drag,
            onKeyDown: press,
          }
        : {})}
    >
      <line x1={at} x2={at} y1={y(0)} y2={top + 2} />
      {onMove && <circle cx={at} cy={y(0)} r={7} />}
      {/* Where a wet finger finds it. */}
      {onMove && <rect x={at - 22} y={y(0) - 22} width={44} height={44} className={styles.handle} />}
      <text x={at + 4} y={top + 4}>
        {wordsOf(mark)}
      </text>
    </g>
  );
}

/** What the trace itself tells, where no hand has said otherwise. */
function readMarks({ marks }: LivePull, trace: TraceAnswer | null): PullMark[] {
  const read = [
    { kind: 'first-drip', seconds: trace?.firstDripSeconds },
    { kind: 'ten-grams', seconds: trace?.tenGramsSeconds },
  ] as const;
  return read.flatMap(({ kind, seconds }) =>
    seconds == null || marks.some((mark) => mark.kind === kind) ? [] : [{ kind, seconds }],
  );
}

function inWords({ pull, trace, sinceStart }: LandingBoxProps['handle']): string {
  const { settings, timeSeconds } = pull.plan;
  const aim = `aim ${plainNumber(settings.yieldGrams)} g in ${timeSeconds.min} to ${timeSeconds.max} s`;
  if (!trace) return `Weight against seconds, ${aim}`;
  return `Weight against seconds: ${plainNumber(trace.grams, 1)} g at ${plainNumber(sinceStart, 0)} s, ${aim}`;
}
