const lockName = (drillId: string): string => `orthokin-drill-${drillId}`;

/** Marks a drill as being run in this tab until it is let go, or the tab dies. */
export function holdDrill(drillId: string): () => void {
  if (!('locks' in navigator)) return () => undefined;
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  void navigator.locks.request(lockName(drillId), { ifAvailable: true }, () => held);
  return letGo;
}

/** Whether some tab runs the drill right now. */
export async function isBeingRun(drillId: string): Promise<boolean> {
  if (!('locks' in navigator)) return false;
  const { held = [] } = await navigator.locks.query();
  return held.some(({ name }) => name === lockName(drillId));
}
