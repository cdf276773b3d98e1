/** What a cue's time follows from. All times on the set's clock, ms. */
export interface Waiting {
  /** When the athlete was ready: home, or the set began. */
  readonly readyMs: number;
  readonly foreperiodMs: number;
  /** The cue before, at fixed pace; `null` for the first, and after a pause. */
  readonly lastCueMs: number | null;
}

/** When the next cue is due; `everyMs` from cue to cue, `null` at one's own pace. */
export const dueMs = (
  everyMs: number | null,
  { readyMs, foreperiodMs, lastCueMs }: Waiting,
): number =>
  everyMs !== null && lastCueMs !== null ? lastCueMs + everyMs : readyMs + foreperiodMs;
