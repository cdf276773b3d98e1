/**
 * The clock of a set: milliseconds since it started, on the page's monotonic clock. A page loaded
 * anew ties its own monotonic clock to the same start through the time of day.
 */
export class SetClock {
  constructor(private readonly startedAtEpochMs: number) {}

  /** Now, in whole milliseconds. */
  now(): number {
    return this.at(performance.now());
  }

  /** The set's time of an `event.timeStamp` or an animation frame's timestamp. */
  at(pageMs: number): number {
    return Math.round(performance.timeOrigin + pageMs - this.startedAtEpochMs);
  }

  /** The page's time (as of `performance.now()`) of a moment of the set. */
  toPage(setMs: number): number {
    return setMs + this.startedAtEpochMs - performance.timeOrigin;
  }
}

/** The time of day now, on the same clock that `event.timeStamp` counts from. */
export const epochNow = (): number => Math.round(performance.timeOrigin + performance.now());
