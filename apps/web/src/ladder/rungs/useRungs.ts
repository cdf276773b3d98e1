import type { Rung } from '@orthokin/core/pattern';
import { useState } from 'react';

/** Rungs being edited, each step of which can be taken back. */
export interface RungsEdit {
  readonly rungs: readonly Rung[];
  readonly isChanged: boolean;
  readonly change: (rungs: readonly Rung[]) => void;
  /** `null` while there is nothing to take back, or to do again. */
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

const inOrder = (rungs: readonly Rung[]): Rung[] =>
  rungs.map((rung, i) => (rung.number === i + 1 ? rung : { ...rung, number: i + 1 }));

export function useRungs(saved: readonly Rung[]): RungsEdit {
  const [{ past, now, future }, set] = useState({
    past: [] as readonly (readonly Rung[])[],
    now: saved,
    future: [] as readonly (readonly Rung[])[],
  });
  const last = past.at(-1);
  const [next] = future;
  return {
    rungs: now,
    isChanged: now !== saved && JSON.stringify(now) !== JSON.stringify(saved),
    change: (rungs) => set({ past: [...past, now], now: inOrder(rungs), future: [] }),
    undo: last ? () => set({ past: past.slice(0, -1), now: last, future: [now, ...future] }) : null,
    redo: next ? () => set({ past: [...past, now], now: next, future: future.slice(1) }) : null,
  };
}
