import type { SheetShotView } from '../app/api';
import styles from './TraceCell.module.css';

const WIDTH = 120;
const HEIGHT = 34;

/** The flight of one shot as a small line, all on one scale; opened large at one tap. */
export function TraceCell({
  shot,
  number,
  scale,
  onOpen,
}: {
  shot: SheetShotView;
  number: number;
  scale: { seconds: number; grams: number };
  onOpen: () => void;
}) {
  const line = shot.traced?.line ?? [];
  if (line.length < 2) return <td className="quiet">–</td>;
  const points = line
    .flatMap((grams, second) =>
      grams === null
        ? []
        : [
            `${((WIDTH * second) / scale.seconds).toFixed(1)},${(HEIGHT - 2 - ((HEIGHT - 4) * grams) / scale.grams).toFixed(1)}`,
          ],
    )
    .join(' ');
  const isRush = shot.traced?.summary?.isLateRush ?? false;
  return (
    <td>
      <button
        type="button"
        className={styles.small}
        onClick={onOpen}
        aria-label={`Trace of shot ${number}${isRush ? ', it rushed late' : ''}`}
      >
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT} aria-hidden>
          <polyline points={points} />
        </svg>
        {isRush && <span className="small">rushed late</span>}
      </button>
    </td>
  );
}

/** What the longest and the heaviest of these shots need. */
export function traceScale(shots: readonly SheetShotView[]): { seconds: number; grams: number } {
  const lines = shots.flatMap(({ traced }) => (traced ? [traced.line] : []));
  return {
    seconds: Math.max(10, ...lines.map((line) => line.length - 1)),
    grams: Math.max(10, ...lines.flatMap((line) => line.map((grams) => grams ?? 0))),
  };
}
