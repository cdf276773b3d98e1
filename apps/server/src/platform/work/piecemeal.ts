import { setImmediate } from 'node:timers/promises';

/** How long one request may keep the event loop. */
const TURN_MS = 15;

/**
 * Maps a list in order, yielding to the event loop every {@link TURN_MS}, so that working out a whole squad does not
 * block other requests.
 */
export async function piecemeal<One, Made>(
  many: readonly One[],
  make: (one: One, index: number) => Made,
): Promise<Made[]> {
  const made: Made[] = [];
  let began = performance.now();
  for (const [index, one] of many.entries()) {
    if (performance.now() - began > TURN_MS) {
      await setImmediate();
      began = performance.now();
    }
    made.push(make(one, index));
  }
  return made;
}
