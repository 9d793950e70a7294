import { plainNumber, streamOf, type Stream } from '@olvet/core';
import type { RecipeDto } from '../app/api';
import styles from './OwnShot.module.css';

const WIDTH = 640;
const HEIGHT = { curve: 150, stream: 56, ticks: 24 };
const ALL = HEIGHT.curve + HEIGHT.stream + HEIGHT.ticks;
/** The thickest stream anybody wants to see, g/s. */
const FULL_FLOW = 4;
const LEFT = 4;

/** The shot a card was kept from: its weight against the window, and a sketch of its stream to hold the cup's against. */
export function OwnShot({ line, recipe }: { line: readonly (number | null)[]; recipe: RecipeDto }) {
  const stream = streamOf(line);
  if (!stream) return null;
  const { firstDripSeconds, tenGramsSeconds, endSeconds, grams } = stream;
  const { timeSeconds, yieldGrams } = recipe;
  const most = { seconds: Math.max(endSeconds, timeSeconds.max) + 3, grams: Math.max(grams, yieldGrams) * 1.12 };
  const x = (seconds: number): number => LEFT + (seconds / most.seconds) * (WIDTH - 2 * LEFT);
  const y = (weight: number): number => HEIGHT.curve - (weight / most.grams) * (HEIGHT.curve - 6);
  const inWords =
    `First drop at ${firstDripSeconds} s, ` +
    (tenGramsSeconds === null ? '' : `ten grams at ${tenGramsSeconds} s, `) +
    `${plainNumber(grams, 1)} g at ${endSeconds} s`;
  const ticks = [
    { at: firstDripSeconds, text: `first drop ${firstDripSeconds} s` },
    ...(tenGramsSeconds === null ? [] : [{ at: tenGramsSeconds, text: `10 g ${tenGramsSeconds} s` }]),
    { at: endSeconds, text: `stop ${endSeconds} s` },
  ];
  return (
    <figure className={styles.own}>
      <svg viewBox={`0 0 ${WIDTH} ${ALL}`} role="img" aria-label={inWords}>
        <rect
          className={styles.target}
          x={x(timeSeconds.min)}
          width={x(timeSeconds.max) - x(timeSeconds.min)}
          y={y(yieldGrams * 1.04)}
          height={y(yieldGrams * 0.96) - y(yieldGrams * 1.04)}
        />
        <polyline
          className={styles.curve}
          points={line.flatMap((each, second) => (each === null ? [] : [`${x(second)},${y(each)}`])).join(' ')}
        />
        <path className={styles.stream} d={ribbon(stream, x)} />
        {ticks.map(({ at, text }, i) => (
          <g key={text}>
            <line x1={x(at)} x2={x(at)} y1={HEIGHT.curve} y2={ALL - HEIGHT.ticks + 4} className={styles.tick} />
            <text x={x(at)} y={ALL - 6} textAnchor={i === 0 || i === ticks.length - 1 ? 'end' : 'start'}>
              {text}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="quiet">
        Its own shot: the weight, and below it the stream as thick as it ran. {inWords}.
      </figcaption>
    </figure>
  );
}

/** As wide as the square root of the flow: what falls keeps its speed, not its width. */
function ribbon({ flow, firstDripSeconds, endSeconds }: Stream, x: (seconds: number) => number): string {
  const middle = HEIGHT.curve + HEIGHT.stream / 2;
  const half = (second: number): number =>
    (Math.sqrt(Math.min(FULL_FLOW, flow[second] ?? 0) / FULL_FLOW) * (HEIGHT.stream - 12)) / 2;
  const seconds = Array.from({ length: endSeconds - firstDripSeconds + 1 }, (_, i) => firstDripSeconds + i);
  const edge = (sign: 1 | -1): string[] => seconds.map((second) => `${x(second)},${middle + sign * half(second)}`);
  return `M${[...edge(-1), ...edge(1).reverse()].join('L')}Z`;
}
