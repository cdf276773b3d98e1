import { useEffect, useSyncExternalStore } from 'react';
import { isKeptAhead, keepAhead } from '../../api/keep-ahead.js';
import { useRole } from '../../api/me.js';
import { useClub } from '../../api/club.js';
import { atRest } from '../../parts/at-rest.js';
import { appVersion, onAppVersion } from './app-version.js';

const AFTER_MS = 2000;
const AGAIN_EVERY_MS = 10 * 60 * 1000;

/** How much of the open club is available offline. */
export type Readiness = 'reading' | 'ready' | 'not whole' | 'not here';

let readiness: Readiness = 'reading';
const listeners = new Set<() => void>();
const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
function tell(now: Readiness): void {
  readiness = now;
  for (const listener of listeners) listener();
}

export const useReadiness = (): Readiness => useSyncExternalStore(subscribe, () => readiness);

/** Loads the club's pages ahead while the browser is idle, if the app works offline. */
export function useKeepingAhead(): void {
  const { clubId } = useClub();
  const role = useRole();
  const { opensAlone } = useSyncExternalStore(onAppVersion, appVersion);
  useEffect(() => {
    if (opensAlone === false) tell('not here');
    if (!opensAlone) return undefined;
    const abort = new AbortController();
    const isOver = () => abort.signal.aborted;
    const read = async () => {
      await atRest(AFTER_MS);
      if (isOver()) return;
      const whole = navigator.onLine
        ? await keepAhead(clubId, role, abort.signal).catch(() => false)
        : await isKeptAhead(clubId);
      if (!isOver()) tell(whole ? 'ready' : 'not whole');
    };
    void read();
    const timer = setInterval(() => void read(), AGAIN_EVERY_MS);
    return () => {
      abort.abort();
      clearInterval(timer);
    };
  }, [clubId, role, opensAlone]);
}
