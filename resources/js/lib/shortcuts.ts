import { useEffect, useRef } from 'react';

/** Keys that work wherever nothing is being typed. `ctrl+z` also answers to the command key; `alt+1` is the digit wherever it stands. */
export function useShortcuts(keys: Record<string, () => void>): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const target = event.target;
      if (target instanceof HTMLElement && target.closest('input, textarea, select, [role="dialog"], [role="menu"], [contenteditable]') !== null) {
        return;
      }
      // Where brackets need the third level of the keyboard, control and alt are part of the character.
      const third = event.getModifierState('AltGraph');
      const held = !third && (event.ctrlKey || event.metaKey);
      // Shift makes other characters by itself; with control it makes another command. With alt a digit may write something else.
      const alt = event.altKey && !third;
      const key = alt ? event.code.replace(/^Digit/, '') : event.key;
      const name = `${alt ? 'alt+' : ''}${held ? 'ctrl+' : ''}${held && event.shiftKey ? 'shift+' : ''}${key.toLowerCase()}`;
      const act = latest.current[name];
      if (act !== undefined) {
        event.preventDefault();
        act();
      }
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
}
