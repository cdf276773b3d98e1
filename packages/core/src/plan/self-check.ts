/** A question an athlete asked themselves at practice, and whether it held. */
export interface SelfCheck {
  /** The question's text. */
  readonly ask: string;
  readonly holds: boolean;
}

/** Most questions at a time: all check points of a large pattern. */
export const MOST_SELF_CHECKS = 40;

/** Longest question, in characters: a position with a check point. */
export const LONGEST_SELF_CHECK = 160;

/** How many questions held, and those that did not, in order; `null` without questions. */
export function selfChecked(
  checks: readonly SelfCheck[],
): { readonly held: number; readonly asked: number; readonly missed: readonly string[] } | null {
  if (checks.length === 0) return null;
  const missed = checks.filter(({ holds }) => !holds).map(({ ask }) => ask);
  return { held: checks.length - missed.length, asked: checks.length, missed };
}
