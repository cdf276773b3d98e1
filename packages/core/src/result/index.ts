/** What is wrong with an input, in the three parts a person needs to mend it. */
export interface Problem {
  /** Path of the field, e.g. `events[3].atMs`. */
  readonly field: string;
  /** What was found there, as it may be shown. */
  readonly given: string;
  /** What would have been accepted. */
  readonly allowed: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const wrong = (field: string, given: unknown, allowed: string): Result<never> => ({
  ok: false,
  problem: { field, given: typeof given === 'string' ? given : JSON.stringify(given), allowed },
});

/** The problem as one sentence. */
export const problemSentence = ({ field, given, allowed }: Problem): string =>
  `${field}: given ${given}, allowed ${allowed}.`;
