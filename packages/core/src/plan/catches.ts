/**
 * A game of reaction for pairs, refereed: one of each pair catches what the other lets go. Whoever catches
 * it steps back, whoever does not steps up; the farthest that was caught is the score.
 */

/** Where somebody stands in it. */
export interface Catcher {
  readonly athleteId: string;
  /** From what is caught, cm. */
  readonly distanceCm: number;
  /** Farthest that was caught, cm; 0 before the first catch. */
  readonly bestCm: number;
  /** Times it was tried. */
  readonly tries: number;
}

/** Distances, cm: where everybody begins, how far a step is, and the nearest there is. */
export const CATCH_FROM_CM = { begin: 100, step: 25, nearest: 50 } as const;

/** A call: who was to catch, and who of them missed. */
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

/** Where somebody stands after the calls there were. */
export const catcherAfter = (athleteId: string, calls: readonly Call[]): Catcher =>
  calls
    .filter(({ toCatch }) => toCatch.includes(athleteId))
    .reduce<Catcher>((now, { missed }) => afterTry(now, !missed.includes(athleteId)), {
      athleteId,
      ...{ distanceCm: CATCH_FROM_CM.begin, bestCm: 0, tries: 0 },
    });

/**
 * Pairs of a game, in the order given, and who of each catches: by turns. Of an odd number the last has
 * nobody: they join the last pair, and three take turns.
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
