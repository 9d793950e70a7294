import { useEffect, useRef, useState, type RefObject } from 'react';

/** A picture fills what room it gets. */
export function useSize(): [{ width: number; height: number }, RefObject<HTMLElement | null>] {
  const frame = useRef<HTMLElement>(null);
  const [size, setSize] = useState({ width: 800, height: 420 });
  useEffect(() => {
    const element = frame.current!;
    const watch = new ResizeObserver(() => {
      const { clientWidth: width, clientHeight: height } = element;
      if (width > 0 && height > 0) setSize({ width, height });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [size, frame];
}
