import { useEffect, useRef, type RefObject } from 'react';
import { HAND_EVENTS } from '../../screens/TimingButtons.js';

export type KeyMap = Readonly<Record<string, (pressedAt: number) => void>>;

const isControl = (element: Element | null): boolean => element?.matches('button, a') ?? false;

/**
 * Keys during a drill, by `event.code`, called with the time of the press on the page's clock. They work wherever the
 * focus is, so that a button clicked earlier does not take the next Space; only a control reached by Tab gets Space
 * and Enter. Until `quietUntil` (page ms) all keys are ignored.
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

/** How long keys are ignored after a set, because a press meant for the last rep may come late, ms. */
const QUIET_MS = 1000;

/** The page time until which keys are ignored, starting when something is over. */
export function useQuietAfter(isOver: boolean): RefObject<number> {
  const until = useRef(0);
  useEffect(() => {
    if (isOver) until.current = performance.now() + QUIET_MS;
  }, [isOver]);
  return until;
}

const nothing = () => undefined;

/** The timing keys when there is nothing to time; they must not press a focused button. */
export const IDLE_TIMING_KEYS: KeyMap = Object.fromEntries(
  HAND_EVENTS.map(({ code }) => [code, nothing]),
);
