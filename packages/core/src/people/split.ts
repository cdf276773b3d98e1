/** How a group is split: alike groups, or those of one level together. */
export const SPLIT_KINDS = ['even', 'graded'] as const;
export type SplitKind = (typeof SPLIT_KINDS)[number];

/** Most parts a group is split into. */
export const MOST_PARTS = 8;

/** How far somebody is. */
export interface Level {
  readonly id: string;
  /** Rung as a share of their ladder, 0–1: ladders of different length can be put side by side. */
  readonly rungShare: number;
  /** Typical cycle now, ms; `null` where nobody knows. */
  readonly cycleMs: number | null;
}

/** A part of a split, and what its people are like. */
export interface Part {
  readonly ids: readonly string[];
  /** Mean share of the ladder, 0–1; 0 of nobody. */
  readonly meanShare: number;
  /** Least and most share, 0–1; 0 of nobody. */
  readonly shares: readonly [least: number, most: number];
  /** Mean cycle of those whose is known, ms; `null` where nobody's is. */
  readonly meanMs: number | null;
}

/** The farthest first; of the same rung the quicker, then by id so that it never depends on the order. */
const byLevel = (a: Level, b: Level): number =>
  b.rungShare - a.rungShare ||
  (a.cycleMs ?? Infinity) - (b.cycleMs ?? Infinity) ||
  (a.id < b.id ? -1 : 1);

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What the people of a part are like. */
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
 * Splits a group into parts whose sizes differ by one at most. Graded: the farthest together, then the
 * next. Even: dealt out to and fro (1 2 3 3 2 1 …), so that every part has of each level.
 * @param parts how many, from 1 to `MOST_PARTS`; never more than there are people
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
