import { useEffect } from 'react';

/** The screen stays on while this is shown; given back when the page is hidden, asked for again when it is seen. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = async (): Promise<void> => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (isOver) await lock.release();
      } catch {
        // A low battery may forbid it; the shot goes on.
      }
    };
    const again = (): void => void ask();
    void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release().catch(() => {});
    };
  }, []);
}
