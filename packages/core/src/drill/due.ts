/** What determines a cue's time. All times in ms on the set's clock. */
export interface Waiting {
  /** When the athlete was ready: home, or the set's start. */
  readonly readyMs: number;
  readonly foreperiodMs: number;
  /** The previous cue, at a fixed pace; `null` for the first cue and after a pause. */
  readonly lastCueMs: number | null;
}

/**
 * When the next cue is due.
 * @param everyMs from cue to cue; `null` at the athlete's own pace
 */
export const dueMs = (
  everyMs: number | null,
  { readyMs, foreperiodMs, lastCueMs }: Waiting,
): number =>
  everyMs !== null && lastCueMs !== null ? lastCueMs + everyMs : readyMs + foreperiodMs;
