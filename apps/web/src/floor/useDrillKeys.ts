import { useEffect, useRef } from 'react';

export type KeyMap = Readonly<Record<string, (pressedAt: number) => void>>;

/** A control somebody reached with Tab answers to Space and Enter itself. */
const focusedControl = () =>
  document.activeElement?.matches('button:focus-visible, a:focus-visible') ?? false;

/**
 * Keys of a drill, by `event.code`, each with the time at which the key went down on the page's
 * clock. They work wherever the focus is, so that no press is lost to a button clicked before.
 */
export function useDrillKeys(keys: KeyMap): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = current.current[event.code];
      if (!act) return;
      const activates = event.code === 'Space' || event.code === 'Enter';
      if (activates && focusedControl()) return;
      event.preventDefault();
      act(event.timeStamp);
    };
    window.addEventListener('keydown', down, { capture: true });
    return () => window.removeEventListener('keydown', down, { capture: true });
  }, []);
}
