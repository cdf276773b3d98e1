/** When the oldest of what is shown was read, while the server does not answer; `null` while it does. */
let shownSince: number | null = null;
const listeners = new Set<() => void>();

export const shownSinceNow = (): number | null => shownSince;

export const onShownSince = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

function tell(since: number | null): void {
  if (since === shownSince) return;
  shownSince = since;
  for (const listener of listeners) listener();
}

/** Something kept is shown, since nobody answers. */
export const showsKept = (at: number): void => tell(Math.min(at, shownSince ?? at));

/** The server answered: what is shown is read anew. */
export const serverAnswers = (): void => tell(null);
