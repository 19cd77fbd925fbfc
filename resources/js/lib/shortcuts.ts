import { useEffect, useRef } from 'react';

/** Keys that work wherever nothing is being typed. `ctrl+z` also answers to the command key. */
export function useShortcuts(keys: Record<string, () => void>): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const target = event.target;
      if (target instanceof HTMLElement && target.closest('input, textarea, select, [role="dialog"], [contenteditable]') !== null) {
        return;
      }
      const held = event.ctrlKey || event.metaKey;
      // Shift makes other characters by itself; with control it makes another command.
      const name = `${held ? 'ctrl+' : ''}${held && event.shiftKey ? 'shift+' : ''}${event.key.toLowerCase()}`;
      const act = latest.current[name];
      if (act !== undefined && !event.altKey) {
        event.preventDefault();
        act();
      }
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
}
