import { createContext, useContext } from 'react';

/** What is selected: the floor, or the leg to a target and perhaps one of its steps. */
export interface Selection {
  /** Letter of the open leg's target; `null` for the floor. */
  readonly letter: string | null;
  /** Index of the selected placement. */
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
