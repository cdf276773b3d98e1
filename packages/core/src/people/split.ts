/** Kinds of splits: equal groups, or groups by level. */
export const SPLIT_KINDS = ['even', 'graded'] as const;
export type SplitKind = (typeof SPLIT_KINDS)[number];

/** Most groups. */
export const MOST_PARTS = 8;

/** An athlete's level. */
export interface Level {
  readonly id: string;
  /** Rung as a share of their ladder, 0–1, so that ladders of different length can be compared. */
  readonly rungShare: number;
  /** Typical cycle, ms; `null` if unknown. */
  readonly cycleMs: number | null;
}

/** A group, and the levels in it. */
export interface Part {
  readonly ids: readonly string[];
  /** Mean share of the ladder, 0–1; 0 if empty. */
  readonly meanShare: number;
  /** Least and greatest share, 0–1; 0 if empty. */
  readonly shares: readonly [least: number, most: number];
  /** Mean of the known cycles, ms; `null` if none is known. */
  readonly meanMs: number | null;
}

/** Highest first; of the same rung the faster, then by id, so that it never depends on the given order. */
const byLevel = (a: Level, b: Level): number =>
  b.rungShare - a.rungShare ||
  (a.cycleMs ?? Infinity) - (b.cycleMs ?? Infinity) ||
  (a.id < b.id ? -1 : 1);

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** A group's summary. */
export function partOf(levels: readonly Level[]): Part {
  const shares = levels.map(({ rungShare }) => rungShare);
  const times = levels.flatMap(({ cycleMs }) => cycleMs ?? []);
  return {
    ids: levels.map(({ id }) => id),
    meanShare: shares.length > 0 ? mean(shares) : 0,
    shares: shares.length > 0 ? [Math.min(...shares), Math.max(...shares)] : [0, 0],
    meanMs: times.length > 0 ? mean(times) : null,
  };
}

/**
 * Splits athletes into groups whose sizes differ by one at most. Graded: by level. Even: dealt in snake order (1 2 3
 * 3 2 1 …), so that all levels are in every group.
 * @param parts from 1 to `MOST_PARTS`, and at most the number of athletes
 */
export function splitGroup(levels: readonly Level[], parts: number, kind: SplitKind): Part[] {
  const ranked = [...levels].sort(byLevel);
  const n = Math.max(1, Math.min(Math.floor(parts), MOST_PARTS, ranked.length));
  const made: Level[][] = Array.from({ length: n }, () => []);
  for (const [i, level] of ranked.entries()) {
    const round = Math.floor(i / n);
    const turn = round % 2 === 0 ? i % n : n - 1 - (i % n);
    const at = kind === 'even' ? turn : Math.floor((i * n) / ranked.length);
    made[at]?.push(level);
  }
  return made.map(partOf);
}
