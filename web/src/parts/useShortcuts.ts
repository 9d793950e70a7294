import { useEffect, useRef } from 'react';

export type Shortcuts = Record<string, (event: KeyboardEvent) => void>;

/**
 * Single-key shortcuts. They keep quiet while someone types in a field, while a dialogue is open, and where the focused
 * control has its own use for the key (Enter and Space on buttons and links).
 */
export function useShortcuts(shortcuts: Shortcuts): void {
  const latest = useRef(shortcuts);
  useEffect(() => {
    latest.current = shortcuts;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (
        target.closest(
          'input, textarea, select, [contenteditable=true], [role=dialog], [role=listbox], [role=combobox]',
        )
      ) {
        return;
      }
      const own = event.key === ' ' || event.key === 'Enter';
      if (own && target.closest('button, a, summary, [role=button], [role=switch], [role=tab], [role=radio]')) return;
      const shortcut = latest.current[event.key];
      if (!shortcut) return;
      event.preventDefault();
      // Held down, a key is pressed once.
      if (!event.repeat) shortcut(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
