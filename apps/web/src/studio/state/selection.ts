import { createContext, useContext } from 'react';

/** What the coach is working on: the floor as a whole, or the leg to one target and a step of it. */
export interface Selection {
  /** Letter of the target whose leg is open; `null` for the floor. */
  readonly letter: string | null;
  /** Index of the placement that is picked. */
  readonly step: number | null;
  readonly open: (letter: string | null) => void;
  readonly pick: (step: number | null) => void;
}

export const SelectionContext = createContext<Selection | null>(null);

export function useSelection(): Selection {
  const selection = useContext(SelectionContext);
  if (!selection) throw new Error('useSelection needs a SelectionContext above it.');
  return selection;
}
