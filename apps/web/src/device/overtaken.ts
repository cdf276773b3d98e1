import { remember, remembered } from './preferences.js';

/** Changes of athletes made here that came too late: somebody else had changed them meanwhile. */
type Overtaken = Readonly<Record<string, unknown>>;

const KEPT = 'overtaken-athletes';

const listeners = new Set<() => void>();
let all: Overtaken = remembered<Overtaken>(KEPT, {});
let ids: readonly string[] = Object.keys(all);

function keep(next: Overtaken): void {
  all = next;
  ids = Object.keys(next);
  remember(KEPT, next);
  for (const listener of listeners) listener();
}

/** Kept until whoever made it has chosen: what was typed is not thrown away for them. */
export const noteOvertaken = (athleteId: string, body: unknown): void =>
  keep({ ...all, [athleteId]: body });

export const overtakenSettled = (athleteId: string): void =>
  keep(Object.fromEntries(Object.entries(all).filter(([id]) => id !== athleteId)));

export const overtakenOf = (athleteId: string): unknown => all[athleteId] ?? null;

export const overtakenAthletes = (): readonly string[] => ids;

export const onOvertaken = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
