/**
 * A set's clock: milliseconds since its start, on the page's monotonic clock. A reloaded page ties its own monotonic
 * clock to the same start by the time of day.
 */
export class SetClock {
  constructor(private readonly startedAtEpochMs: number) {}

  /** The current time, in whole milliseconds. */
  now(): number {
    return this.at(performance.now());
  }

  /** Converts an `event.timeStamp` or an animation frame's timestamp. */
  at(pageMs: number): number {
    return Math.round(performance.timeOrigin + pageMs - this.startedAtEpochMs);
  }

  /** Converts to the page's time (as of `performance.now()`). */
  toPage(setMs: number): number {
    return setMs + this.startedAtEpochMs - performance.timeOrigin;
  }
}

/** The time of day now, on the same clock that `event.timeStamp` counts from. */
export const epochNow = (): number => Math.round(performance.timeOrigin + performance.now());
