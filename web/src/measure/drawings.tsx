import styles from './MeasurePage.module.css';

/** Basket from the side: coffee, coin, and the screen above it, three times. */
export function HeadspaceDrawing() {
  const baskets = [
    { x: 20, height: 62, text: 'deep: too much' },
    { x: 160, height: 50, text: 'faint: right' },
    { x: 300, height: 38, text: 'none: too little' },
  ];
  return (
    <svg
      viewBox="0 0 430 150"
      className={styles.drawing}
      role="img"
      aria-label="Three baskets from the side. Where the coffee stands high the screen presses the coin in deep, where it stands right it leaves a faint print, where it stands low none."
    >
      {baskets.map(({ x, height, text }) => (
        <g key={text} transform={`translate(${x} 10)`} fill="none" stroke="currentColor" strokeWidth="2">
          <path d="M0 20 V96 Q0 104 8 104 H92 Q100 104 100 96 V20" />
          <path d={`M2 ${104 - height} H98`} strokeDasharray="3 3" />
          <rect x="3" y={104 - height} width="94" height={height - 2} fill="var(--sunken)" stroke="none" />
          <rect x="56" y={104 - height - 5} width="24" height="5" fill="currentColor" stroke="none" />
          <path d="M4 48 H96" strokeWidth="3" />
          <text x="50" y="130" textAnchor="middle" fontSize="15" fill="currentColor" stroke="none">
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** A pinch between finger and thumb: how it holds. */
export function PinchDrawing({ kind }: { kind: 'too-coarse' | 'near' | 'too-fine' }) {
  return (
    <svg viewBox="0 0 160 100" aria-hidden fill="none" stroke="currentColor" strokeWidth="2.5" strokeLinecap="round">
      {kind === 'too-coarse' && (
        <>
          <path d="M20 84 Q80 62 140 84" />
          {[30, 44, 58, 70, 84, 98, 112, 126].map((x, i) => (
            <circle
              key={x}
              cx={x}
              cy={70 - (i % 3) * 9 + Math.abs(78 - x) / 8}
              r="3"
              fill="currentColor"
              stroke="none"
            />
          ))}
        </>
      )}
      {kind === 'near' && (
        <>
          <path d="M20 84 H140" />
          <path d="M46 84 Q62 74 70 42 Q80 22 90 42 Q98 74 114 84" />
          <path d="M82 40 L76 54 L86 64 L79 80" strokeWidth="2" />
        </>
      )}
      {kind === 'too-fine' && (
        <>
          <path d="M20 84 H140" />
          <path d="M44 84 V48 Q44 38 54 38 H106 Q116 38 116 48 V84" />
          <path d="M60 52 q6 -5 12 0 m4 0 q6 -5 12 0 m-24 14 q6 -5 12 0 m4 0 q6 -5 12 0" strokeWidth="1.5" />
        </>
      )}
    </svg>
  );
}
