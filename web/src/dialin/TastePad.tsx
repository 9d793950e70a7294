import { balanceWord, bodyWord, type Expectation } from '@olvet/core';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import styles from './TastePad.module.css';

export interface Cup {
  balance: number;
  body: number;
}

export interface TastePadProps {
  /** What the pad is about: "shot 3". */
  label: string;
  /** The same as the others stand on the pad. */
  number?: number;
  value: Cup | null;
  /** Earlier shots as numbered dots. */
  earlier: { number: number; cup: Cup }[];
  wanted: Cup;
  tolerance: Cup;
  expect: Expectation | null;
  disabled: boolean;
  onTaste: (cup: Cup) => void;
}

const SIZE = 300;
const REACH = 3;
const px = (value: number): number => SIZE / 2 + (value / REACH) * (SIZE / 2 - 14);
const py = (value: number): number => SIZE / 2 - (value / REACH) * (SIZE / 2 - 14);
const toScale = (share: number): number => {
  const value = ((share - 0.5) * SIZE * REACH) / (SIZE / 2 - 14);
  return Math.min(REACH, Math.max(-REACH, Math.round(value * 2) / 2));
};

/** Sour ↔ bitter across, thin ↔ heavy up: tap once where the cup sits, or move with the arrow keys. */
export function TastePad(props: TastePadProps) {
  const { label, number: own, value, earlier, wanted, tolerance, expect, disabled, onTaste } = props;
  const [aim, setAim] = useState<Cup | null>(null);
  const shown = aim ?? value;

  const onPointer = (event: PointerEvent<SVGSVGElement>): void => {
    if (disabled) return;
    const box = event.currentTarget.getBoundingClientRect();
    setAim(null);
    onTaste({
      balance: toScale((event.clientX - box.left) / box.width),
      body: toScale(1 - (event.clientY - box.top) / box.height),
    });
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (disabled) return;
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-0.5, 0],
      ArrowRight: [0.5, 0],
      ArrowUp: [0, 0.5],
      ArrowDown: [0, -0.5],
    };
    const step = steps[event.key];
    const from = shown ?? { balance: 0, body: 0 };
    if (step) {
      const clampTo = (v: number): number => Math.min(REACH, Math.max(-REACH, v));
      setAim({ balance: clampTo(from.balance + step[0]), body: clampTo(from.body + step[1]) });
    } else if (event.key === 'Enter' || event.key === ' ') {
      setAim(null);
      onTaste(from);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const words = shown ? `${balanceWord(shown.balance)}, ${bodyWord(shown.body)}` : 'not tasted yet';
  return (
    <div className={styles.frame}>
      <span className={styles.heavy}>heavy</span>
      <span className={styles.thin}>thin</span>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className={`${styles.pad} ${disabled ? styles.off : ''}`}
        role="application"
        aria-roledescription="taste pad"
        aria-label={`Taste of ${label}: ${words}. Arrow keys move the mark, Enter sets it.`}
        aria-disabled={disabled}
        tabIndex={disabled ? -1 : 0}
        onPointerUp={onPointer}
        onKeyDown={onKeyDown}
      >
        <rect x="1" y="1" width={SIZE - 2} height={SIZE - 2} rx="10" className={styles.ground} />
        <line x1={SIZE / 2} y1="8" x2={SIZE / 2} y2={SIZE - 8} className={styles.axis} />
        <line x1="8" y1={SIZE / 2} x2={SIZE - 8} y2={SIZE / 2} className={styles.axis} />
        <ellipse
          cx={px(wanted.balance)}
          cy={py(wanted.body)}
          rx={px(tolerance.balance) - px(0)}
          ry={py(0) - py(tolerance.body)}
          className={styles.wanted}
        />
        {expect && (
          <ellipse
            cx={px(expect.balance.mean)}
            cy={py(expect.body.mean)}
            rx={Math.max(6, (px(expect.balance.p90) - px(expect.balance.p10)) / 2)}
            ry={Math.max(6, (py(expect.body.p10) - py(expect.body.p90)) / 2)}
            className={styles.expect}
          />
        )}
        <text x="12" y={SIZE / 2 - 8} className={styles.edge}>
          lemon
        </text>
        <text x={SIZE - 12} y={SIZE / 2 - 8} textAnchor="end" className={styles.edge}>
          cocoa, hops
        </text>
        <text x={SIZE / 2 + 8} y="22" className={styles.edge}>
          syrup
        </text>
        <text x={SIZE / 2 + 8} y={SIZE - 12} className={styles.edge}>
          tea
        </text>
        {earlier.map(({ number, cup }) => (
          <g key={number}>
            <circle cx={px(cup.balance)} cy={py(cup.body)} r="13" className={styles.earlier} />
            <text x={px(cup.balance)} y={py(cup.body) + 6} textAnchor="middle" className={styles.number}>
              {number}
            </text>
          </g>
        ))}
        {shown && (
          <circle cx={px(shown.balance)} cy={py(shown.body)} r="15" className={aim ? styles.aim : styles.now} />
        )}
        {shown && !aim && (
          <text
            x={px(shown.balance)}
            y={py(shown.body) + 6}
            textAnchor="middle"
            className={`${styles.number} ${styles.onInk}`}
          >
            {own}
          </text>
        )}
      </svg>
      <span className={styles.sour}>◣ sour</span>
      <span className={styles.bitter}>bitter ◥</span>
    </div>
  );
}
