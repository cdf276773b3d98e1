/** When the oldest reply on the page was received, while the server is unreachable; `null` while it is reachable. */
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

/** A stored reply is shown, because the server is unreachable. */
export const showsKept = (at: number): void => tell(Math.min(at, shownSince ?? at));

/** The server answered, so everything shown will be refetched. */
export const serverAnswers = (): void => tell(null);
