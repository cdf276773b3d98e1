/**
 * A refereed reaction game for pairs: one catches what the other drops. A catch increases the distance by a step, a
 * miss decreases it; the farthest catch is the score.
 */

/** An athlete's state in it. */
export interface Catcher {
  readonly athleteId: string;
  /** Current distance, cm. */
  readonly distanceCm: number;
  /** Farthest catch, cm; 0 before the first. */
  readonly bestCm: number;
  /** Number of tries. */
  readonly tries: number;
}

/** Distances, cm: the first, the step, and the least. */
export const CATCH_FROM_CM = { begin: 100, step: 25, nearest: 50 } as const;

/** A call: who was to catch, and who missed. */
export interface Call {
  readonly toCatch: readonly string[];
  readonly missed: readonly string[];
}

function afterTry(one: Catcher, isCaught: boolean): Catcher {
  const { distanceCm, bestCm } = one;
  const tries = one.tries + 1;
  const { step, nearest } = CATCH_FROM_CM;
  return isCaught
    ? { ...one, tries, bestCm: Math.max(bestCm, distanceCm), distanceCm: distanceCm + step }
    : { ...one, tries, distanceCm: Math.max(nearest, distanceCm - step) };
}

/** An athlete's state after some calls. */
export const catcherAfter = (athleteId: string, calls: readonly Call[]): Catcher =>
  calls
    .filter(({ toCatch }) => toCatch.includes(athleteId))
    .reduce<Catcher>((now, { missed }) => afterTry(now, !missed.includes(athleteId)), {
      athleteId,
      ...{ distanceCm: CATCH_FROM_CM.begin, bestCm: 0, tries: 0 },
    });

/**
 * Pairs in the given order, with who catches in each round, alternating. With an odd number the last three take
 * turns.
 */
export function catchPairs(
  athleteIds: readonly string[],
  call: number,
): { readonly catches: string; readonly drops: readonly string[] }[] {
  const count = Math.floor(athleteIds.length / 2);
  return Array.from({ length: Math.max(1, count) }, (_, i) =>
    athleteIds.slice(2 * i, i < count - 1 ? 2 * i + 2 : undefined),
  ).flatMap((pair) => {
    const catches = pair[call % pair.length];
    return catches === undefined ? [] : [{ catches, drops: pair.filter((id) => id !== catches) }];
  });
}
