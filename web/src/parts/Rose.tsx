import { roseOf, type Sign } from '@olvet/core';
import styles from './Rose.module.css';

const NAMES: Partial<Record<Sign, { one: string; many: string; tells: string }>> = {
  spurts: {
    one: 'spurt',
    many: 'spurts',
    tells: 'The tamp leans, or the coffee lies thinner there: level before tamping, and press straight down.',
  },
  'dead-spots': {
    one: 'dead spot',
    many: 'dead spots',
    tells: 'It is packed denser there: distribute from that side, and do not tap the basket there.',
  },
};

/** How often at which hour of the basket, over many shots; a verdict only where chance would hardly do it. */
export function Rose({
  sign,
  seen,
}: {
  sign: 'spurts' | 'dead-spots';
  seen: readonly { sign: Sign; clock?: number | null }[];
}) {
  const hours = seen.flatMap((mark) => (mark.sign === sign && mark.clock != null ? [mark.clock] : []));
  const { counts, total, lean } = roseOf(hours);
  if (total === 0) return null;
  const most = Math.max(...counts);
  const { one, many, tells } = NAMES[sign]!;
  const said = lean
    ? `${lean.count} of ${total} ${many} between ${lean.from} and ${lean.to} o’clock. ${tells}`
    : `${total} ${total === 1 ? one : many} marked: no side stands out yet.`;
  return (
    <div className={styles.rose}>
      <svg viewBox="-50 -50 100 100" width="96" height="96" role="img" aria-label={`${many} round the basket: ${said}`}>
        <circle r="44" className={styles.rim} />
        {counts.map((count, i) => (
          <path key={i} d={petal(i + 1, (40 * count) / most)} className={count > 0 ? styles.petal : ''} />
        ))}
        {[12, 3, 6, 9].map((hour) => (
          <text key={hour} {...place(hour, 37)} className={styles.hour}>
            {hour}
          </text>
        ))}
      </svg>
      <p className="small">{said}</p>
    </div>
  );
}

function point(hour: number, radius: number): [number, number] {
  const angle = (hour / 12) * 2 * Math.PI;
  return [radius * Math.sin(angle), -radius * Math.cos(angle)];
}

function petal(hour: number, radius: number): string {
  if (radius === 0) return '';
  const [[x1, y1], [x2, y2]] = [point(hour - 0.42, radius), point(hour + 0.42, radius)];
  return `M0 0 L${x1.toFixed(1)} ${y1.toFixed(1)} A${radius} ${radius} 0 0 1 ${x2.toFixed(1)} ${y2.toFixed(1)} Z`;
}

function place(hour: number, radius: number): { x: number; y: number } {
  const [x, y] = point(hour, radius);
  return { x, y: y + 4 };
}
