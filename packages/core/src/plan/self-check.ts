/** What somebody asked themselves at practice, and whether it held. */
export interface SelfCheck {
  /** The question, as it was put. */
  readonly ask: string;
  readonly holds: boolean;
}

/** Most questions at a time: every check point of every position of a pattern with many. */
export const MOST_SELF_CHECKS = 40;

/** Longest question, in characters: a position and a check point of it. */
export const LONGEST_SELF_CHECK = 160;

/** How many questions held, and those that did not, in their order; nothing of none asked. */
export function selfChecked(
  checks: readonly SelfCheck[],
): { readonly held: number; readonly asked: number; readonly missed: readonly string[] } | null {
  if (checks.length === 0) return null;
  const missed = checks.filter(({ holds }) => !holds).map(({ ask }) => ask);
  return { held: checks.length - missed.length, asked: checks.length, missed };
}
