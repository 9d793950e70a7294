import { useEffect } from 'react';

/** A key held down is one act: without this a held Enter presses every button that comes under it, and sends every form. */
export function useNoHeldEnter(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.repeat && event.key === 'Enter' && !(event.target instanceof HTMLTextAreaElement))
        event.preventDefault();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}
