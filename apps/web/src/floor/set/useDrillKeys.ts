import { useEffect, useRef } from 'react';

export type KeyMap = Readonly<Record<string, (pressedAt: number) => void>>;

const isControl = (element: Element | null): boolean => element?.matches('button, a') ?? false;

/**
 * Keys of a drill, by `event.code`, each with the time at which the key went down on the page's
 * clock. They work wherever the focus is: a button clicked before must not take the next press of
 * Space for itself. Only a control that was reached with Tab answers to Space and Enter.
 */
export function useDrillKeys(keys: KeyMap): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    let movedByTab = false;
    const point = () => (movedByTab = false);
    const down = (event: KeyboardEvent) => {
      if (event.code === 'Tab') movedByTab = true;
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = current.current[event.code];
      if (!act) return;
      const activates = event.code === 'Space' || event.code === 'Enter';
      if (activates && movedByTab && isControl(document.activeElement)) return;
      event.preventDefault();
      event.stopPropagation();
      act(event.timeStamp);
    };
    window.addEventListener('keydown', down, { capture: true });
    window.addEventListener('pointerdown', point, { capture: true });
    return () => {
      window.removeEventListener('keydown', down, { capture: true });
      window.removeEventListener('pointerdown', point, { capture: true });
    };
  }, []);
}
