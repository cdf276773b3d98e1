const PREFIX = 'orthokin-drill-';
const lockName = (drillId: string): string => `${PREFIX}${drillId}`;

/** Locks a drill as running in this tab. The lock ends with the returned function, or with the tab. */
export function holdDrill(drillId: string): () => void {
  if (!('locks' in navigator)) return () => undefined;
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  void navigator.locks.request(lockName(drillId), { ifAvailable: true }, () => held);
  return letGo;
}

/**
 * Calls back whenever a drill that another tab is running now is released.
 * @returns stops waiting
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

/** Whether any tab is running the drill. */
export async function isBeingRun(drillId: string): Promise<boolean> {
  if (!('locks' in navigator)) return false;
  const { held = [] } = await navigator.locks.query();
  return held.some(({ name }) => name === lockName(drillId));
}
