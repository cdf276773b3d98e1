import { setImmediate } from 'node:timers/promises';

/** So long the process is one request's alone. */
const TURN_MS = 15;

/**
 * Makes something of each of many, in their order, and lets whoever else waits have a turn in between: what is worked
 * out of a whole squad at once would hold everybody up.
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
