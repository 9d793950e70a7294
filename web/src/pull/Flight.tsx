import { useEffect, useRef } from 'react';
import { pathOf, polyline, type BoxScale } from './boxScale';
import styles from './LandingBox.module.css';
import type { Snapshot } from './recorder';

/** The path of the shot and the point that flies: drawn by the frame, past React, so that it never stutters. */
export function Flight({ fine, scale, isRunning }: { fine: () => Snapshot; scale: BoxScale; isRunning: boolean }) {
  const line = useRef<SVGPolylineElement>(null);
  const point = useRef<SVGCircleElement>(null);
  useEffect(() => {
    let drawn = -1;
    let frame = 0;
    // Whoever asked for less motion sees it advance, not fly.
    const isCalm = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const draw = (): void => {
      const { pull, trace, seconds } = fine();
      const { x, y } = scale;
      if (pull.seen.length !== drawn) {
        drawn = pull.seen.length;
        const path = pathOf(pull);
        line.current?.setAttribute('points', polyline(path.map((each) => [x(each.seconds), y(each.grams)])));
      }
      point.current?.setAttribute(
        'transform',
        `translate(${x(seconds).toFixed(2)} ${y(trace?.grams ?? 0).toFixed(2)})`,
      );
      if (isRunning && !isCalm) frame = requestAnimationFrame(draw);
    };
    draw();
    // Once it has been stopped, drops still fall for a while.
    const settling = isRunning && !isCalm ? undefined : setInterval(draw, 250);
    return () => {
      cancelAnimationFrame(frame);
      clearInterval(settling);
    };
  }, [fine, scale, isRunning]);
  return (
    <>
      <polyline ref={line} className={styles.path} />
      {isRunning && <circle ref={point} className={styles.now} r={8} />}
    </>
  );
}
