import { remember, remembered } from './preferences.js';

/** A move that was made here, and of which the server says otherwise. */
export interface Difference<Decision = unknown> {
  readonly moveId: string;
  readonly athleteId: string;
  readonly patternId: string;
  readonly fromRung: number;
  readonly toRung: number;
  /** What the rule says by all that the server knows. */
  readonly decision: Decision;
}

const KEPT = 'differences';
const MOST = 20;

const listeners = new Set<() => void>();
let all: readonly Difference[] = remembered<readonly Difference[]>(KEPT, []);

function keep(next: readonly Difference[]): void {
  all = next;
  remember(KEPT, next);
  for (const listener of listeners) listener();
}

/** Kept until somebody has seen it: whoever moved the athlete may not look at the moment it comes back. */
export const noteDifference = (difference: Difference): void =>
  keep([...all.filter(({ moveId }) => moveId !== difference.moveId), difference].slice(-MOST));

export const differenceSeen = (moveId: string): void =>
  keep(all.filter((each) => each.moveId !== moveId));

export const differences = (): readonly Difference[] => all;

export const onDifferences = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
