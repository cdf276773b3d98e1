/** Work to rest: one part of work earns so many of rest. */
export const REST_RATIOS = [1, 2, 4] as const;
/** To change over, walk back and breathe, whatever the ratio says. */
export const LEAST_REST_MS = 10_000;

/** One set of a course: whose turn it is, and the how-manieth of theirs. */
export interface Turn {
  readonly athleteId: string;
  readonly set: number;
}

/** A rota: everybody works once, then everybody again. */
export const rotaOf = (athleteIds: readonly string[], sets: number): Turn[] =>
  Array.from({ length: sets }, (_, i) =>
    athleteIds.map((athleteId) => ({ athleteId, set: i + 1 })),
  ).flat();

/**
 * How long to wait before the next set, ms: until whoever is next has rested `ratio` times their
 * own last work. Others' work since then counts as rest.
 */
export function restBefore(
  nextWorkMs: number | null,
  ratio: number,
  sinceTheirWorkMs: number,
): number {
  if (nextWorkMs === null) return LEAST_REST_MS;
  return Math.max(LEAST_REST_MS, Math.round(nextWorkMs * ratio - sinceTheirWorkMs));
}
