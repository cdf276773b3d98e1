import { useEffect, useRef, type RefObject } from 'react';
import { HAND_EVENTS } from '../../screens/TimingButtons.js';

export type KeyMap = Readonly<Record<string, (pressedAt: number) => void>>;

const isControl = (element: Element | null): boolean => element?.matches('button, a') ?? false;

/**
 * Keys of a drill, by `event.code`, each with the time at which the key went down on the page's
 * clock. They work wherever the focus is: a button clicked before must not take the next press of
 * Space for itself. Only a control that was reached with Tab answers to Space and Enter. Until
 * `quietUntil`, on the page's clock, no key is taken at all.
 */
export function useDrillKeys(keys: KeyMap, quietUntil?: RefObject<number>): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    let movedByTab = false;
    const point = () => (movedByTab = false);
    const down = (event: KeyboardEvent) => {
      if (quietUntil && event.timeStamp < quietUntil.current) {
        event.preventDefault();
        event.stopPropagation();
        return;
      }
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
  }, [quietUntil]);
}

/** A press meant for the last rep comes late: what follows it takes no key for so long, ms. */
const QUIET_MS = 1000;

/** Until when, on the page's clock, no key is taken: a second from when something is over. */
export function useQuietAfter(isOver: boolean): RefObject<number> {
  const until = useRef(0);
  useEffect(() => {
    if (isOver) until.current = performance.now() + QUIET_MS;
  }, [isOver]);
  return until;
}

const nothing = () => undefined;

/** The timing keys where there is nothing to time: they press no button that happens to be at hand. */
export const IDLE_TIMING_KEYS: KeyMap = Object.fromEntries(
  HAND_EVENTS.map(({ code }) => [code, nothing]),
);
