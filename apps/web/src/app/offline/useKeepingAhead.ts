import { useEffect, useSyncExternalStore } from 'react';
import { isKeptAhead, keepAhead } from '../../api/keep-ahead.js';
import { useRole } from '../../api/me.js';
import { useClub } from '../../api/club.js';
import { atRest } from '../../parts/at-rest.js';
import { appVersion, onAppVersion } from './app-version.js';

const AFTER_MS = 2000;
const AGAIN_EVERY_MS = 10 * 60 * 1000;

/** How far the club that is open can be opened without a network. */
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

/** Reads the club's pages ahead while nothing else is to be done, where the app opens without a network. */
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
