import { GrowingPause } from './growing-pause.mjs';
import { reasonOf, say } from './say.mjs';

/** Looks so often whether the database runs. */
const EVERY_MS = 5000;

/**
 * Brings a database back that stopped by itself, on a disk that was full, say: each time it does not start after a
 * longer pause. Whoever serves from it waits meanwhile, and says so to whoever asks.
 * @param {() => import('./cluster.mjs').RunningCluster | null} cluster the one to be kept; `null` while it is somebody else's
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
