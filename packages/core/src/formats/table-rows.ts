import type { Problem } from '../result/index.js';

/** What is wrong in a row; rows count from 1 below the header. */
export interface RowProblem extends Problem {
  readonly row: number;
}

/** Which column holds a field; a field that is not there is absent. */
export type Columns<Field extends string> = Readonly<Partial<Record<Field, number>>>;

/** Guesses which column is which, from the heads; what looks like nothing stays out. */
export function matchHeads<Field extends string>(
  heads: readonly string[],
  hints: Readonly<Record<Field, RegExp>>,
): Partial<Record<Field, number>> {
  const taken = new Set<number>();
  const found: Partial<Record<Field, number>> = {};
  for (const field of Object.keys(hints) as Field[]) {
    const column = heads.findIndex((head, i) => !taken.has(i) && hints[field].test(head.trim()));
    if (column < 0) continue;
    taken.add(column);
    found[field] = column;
  }
  return found;
}

/** The known name that a misspelt one was probably meant to be; `null` where none is near. */
export type NearestName = (given: string, known: readonly string[]) => string | null;

/** So many names and fewer are all said. */
const FEW_NAMES = 8;

/**
 * What is allowed in place of a name that nobody has: the one it was probably meant to be, or,
 * where none is near, all there are if they are few.
 */
export function namesAllowed(
  given: string,
  known: readonly string[],
  nearestOf: NearestName,
): string {
  const nearest = given === '' ? null : nearestOf(given, known);
  if (nearest !== null) return `${nearest}?`;
  return known.length <= FEW_NAMES ? known.join(', ') : `one of ${known.length} known names`;
}

/** A day as people write it, `2026-01-31` or `31.1.2026`, as `YYYY-MM-DD`; `null` for no day. */
export function dayOf(text: string): string | null {
  const iso = /^(\d{4}-\d{2}-\d{2})(?:[T ]|$)/.exec(text)?.[1];
  const european = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text);
  const day =
    iso ??
    (european &&
      `${european[3]}-${(european[2] ?? '').padStart(2, '0')}-${(european[1] ?? '').padStart(2, '0')}`);
  const atMs = Date.parse(`${day ?? ''}T00:00:00Z`);
  // The 30th of February would be read as the 2nd of March.
  return !Number.isNaN(atMs) && new Date(atMs).toISOString().startsWith(day ?? '') && day
    ? day
    : null;
}
