const PREFIX = 'orthokin-drill-';
const lockName = (drillId: string): string => `${PREFIX}${drillId}`;

/** Marks a drill as being run in this tab until it is let go, or the tab dies. */
export function holdDrill(drillId: string): () => void {
  if (!('locks' in navigator)) return () => undefined;
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  void navigator.locks.request(lockName(drillId), { ifAvailable: true }, () => held);
  return letGo;
}

/**
 * Calls back when drills that other tabs are running now are let go, each time one is. Gives what
 * stops the waiting.
 */
export function onDrillsLetGo(heard: () => void): () => void {
  const abort = new AbortController();
  if (!('locks' in navigator)) return () => undefined;
  void navigator.locks.query().then(({ held = [] }) => {
    for (const { name = '' } of held)
      if (name.startsWith(PREFIX) && !abort.signal.aborted)
        navigator.locks
          .request(name, { signal: abort.signal }, () => undefined)
          .then(heard, () => undefined);
  });
  return () => abort.abort();
}

/** Whether some tab runs the drill right now. */
export async function isBeingRun(drillId: string): Promise<boolean> {
  if (!('locks' in navigator)) return false;
  const { held = [] } = await navigator.locks.query();
  return held.some(({ name }) => name === lockName(drillId));
}
