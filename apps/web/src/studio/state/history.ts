import type { Pattern } from '@orthokin/core/pattern';

/** Steps that can be taken back; older ones are forgotten. */
const MAX_STEPS = 200;

/** A pattern under edit, with the way back and forth. */
export interface History {
  readonly past: readonly Pattern[];
  readonly present: Pattern;
  readonly future: readonly Pattern[];
  /** Names the gesture of the newest step: what goes on under the same name is the same step. */
  readonly gesture: string | null;
}

export const begin = (present: Pattern): History => ({
  past: [],
  present,
  future: [],
  gesture: null,
});

/** A change. Changes of one named gesture (a drag, typing in one field) are taken back as one. */
export function change(history: History, present: Pattern, gesture: string | null = null): History {
  if (present === history.present) return history;
  const goesOn = gesture !== null && gesture === history.gesture;
  return {
    past: goesOn ? history.past : [...history.past, history.present].slice(-MAX_STEPS),
    present,
    future: [],
    gesture,
  };
}

export function undo(history: History): History {
  const before = history.past.at(-1);
  if (!before) return history;
  return {
    past: history.past.slice(0, -1),
    present: before,
    future: [history.present, ...history.future],
    gesture: null,
  };
}

export function redo(history: History): History {
  const [after, ...future] = history.future;
  if (!after) return history;
  return { past: [...history.past, history.present], present: after, future, gesture: null };
}
