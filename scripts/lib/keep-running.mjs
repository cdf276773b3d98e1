import { GrowingPause } from './growing-pause.mjs';
import { reasonOf, say } from './say.mjs';

/** How often to check whether the database runs. */
const EVERY_MS = 5000;

/**
 * Restarts a database that stopped by itself, because its disk was full, say, with growing pauses between failures.
 * Servers wait for it meanwhile and answer 503.
 * @param {() => import('./cluster.mjs').RunningCluster | null} cluster the one to watch; `null` while it is somebody else's
 * @param {{ everyMs?: number, tell?: (line: string) => void }} [options]
 */
export function keepRunning(cluster, { everyMs = EVERY_MS, tell = say } = {}) {
  const pause = new GrowingPause();
  /** @type {NodeJS.Timeout} */
  let timer;
  const look = () => {
    let nextMs = everyMs;
    try {
      const kept = cluster();
      if (kept?.isRunning() === false) {
        kept.bringBack();
        tell('\nThe database had stopped. It is started again; what was stored is there.');
      }
      pause.reset();
    } catch (error) {
      nextMs = pause.next();
      tell(
        `\nThe database stopped and cannot be started; it is tried again in ${nextMs / 1000} s. ${reasonOf(error)}`,
      );
    }
    timer = setTimeout(look, nextMs);
  };
  timer = setTimeout(look, everyMs);
  return { stop: () => clearTimeout(timer) };
}
