import type { Rung } from '@orthokin/core/pattern';
import { useHistory, type Edited } from '../../parts/history.js';

/** Rungs being edited, each step of which can be taken back. */
export interface RungsEdit extends Pick<Edited<unknown>, 'canUndo' | 'canRedo' | 'undo' | 'redo'> {
  readonly rungs: readonly Rung[];
  readonly isChanged: boolean;
  readonly change: (rungs: readonly Rung[]) => void;
}

const inOrder = (rungs: readonly Rung[]): Rung[] =>
  rungs.map((rung, i) => (rung.number === i + 1 ? rung : { ...rung, number: i + 1 }));

export function useRungs(saved: readonly Rung[]): RungsEdit {
  const { present, edit, ...ways } = useHistory(() => saved);
  return {
    ...ways,
    rungs: present,
    isChanged: present !== saved && JSON.stringify(present) !== JSON.stringify(saved),
    change: (rungs) => edit(() => inOrder(rungs)),
  };
}
