/** Parts of rest per part of work. */
export const REST_RATIOS = [1, 2, 4] as const;
/** The least rest, for changing over and breathing. */
export const LEAST_REST_MS = 10_000;

/** A set of a rota: whose turn, and which of their sets. */
export interface Turn {
  readonly athleteId: string;
  readonly set: number;
}

/** A rota: everybody in turn, round after round. */
export const rotaOf = (athleteIds: readonly string[], sets: number): Turn[] =>
  Array.from({ length: sets }, (_, i) =>
    athleteIds.map((athleteId) => ({ athleteId, set: i + 1 })),
  ).flat();

/**
 * The wait before the next set, ms: until the next athlete has rested `ratio` times their own last work. Others' work
 * since then counts as rest.
 */
export function restBefore(
  nextWorkMs: number | null,
  ratio: number,
  sinceTheirWorkMs: number,
): number {
  if (nextWorkMs === null) return LEAST_REST_MS;
  return Math.max(LEAST_REST_MS, Math.round(nextWorkMs * ratio - sinceTheirWorkMs));
}
