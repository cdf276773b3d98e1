import { useCallback, useState } from 'react';

/** Steps that can be taken back; older ones are forgotten. */
const MAX_STEPS = 200;

/** Something being edited, with undo and redo. */
export interface History<Thing> {
  readonly past: readonly Thing[];
  readonly present: Thing;
  readonly future: readonly Thing[];
  /** Name of the newest step's gesture; further changes under the same name belong to that step. */
  readonly gesture: string | null;
}

export const begin = <Thing>(present: Thing): History<Thing> => ({
  past: [],
  present,
  future: [],
  gesture: null,
});

/** Applies a change. Changes with the same gesture (a drag, typing in one field) are undone as one. */
export function change<Thing>(
  history: History<Thing>,
  present: Thing,
  gesture: string | null = null,
): History<Thing> {
  if (present === history.present) return history;
  const goesOn = gesture !== null && gesture === history.gesture;
  return {
    past: goesOn ? history.past : [...history.past, history.present].slice(-MAX_STEPS),
    present,
    future: [],
    gesture,
  };
}

export function undo<Thing>(history: History<Thing>): History<Thing> {
  const before = history.past.at(-1);
  if (before === undefined) return history;
  return {
    past: history.past.slice(0, -1),
    present: before,
    future: [history.present, ...history.future],
    gesture: null,
  };
}

export function redo<Thing>(history: History<Thing>): History<Thing> {
  const [after, ...future] = history.future;
  if (after === undefined) return history;
  return { past: [...history.past, history.present], present: after, future, gesture: null };
}

/** Something being edited, with undo and redo. */
export interface Edited<Thing> {
  readonly present: Thing;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly edit: (make: (now: Thing) => Thing, gesture?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

export function useHistory<Thing>(from: () => Thing): Edited<Thing> {
  const [history, setHistory] = useState(() => begin(from()));
  const edit = useCallback<Edited<Thing>['edit']>(
    (make, gesture) => setHistory((now) => change(now, make(now.present), gesture ?? null)),
    [],
  );
  return {
    present: history.present,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    edit,
    undo: () => setHistory(undo),
    redo: () => setHistory(redo),
  };
}
