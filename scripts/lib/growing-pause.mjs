const FIRST_MS = 1000;
const LONGEST_MS = 60_000;

/** Pauses between attempts, doubling up to a minute. */
export class GrowingPause {
  #nextMs = FIRST_MS;

  /** The next pause, ms. */
  next() {
    const ms = this.#nextMs;
    this.#nextMs = Math.min(LONGEST_MS, 2 * ms);
    return ms;
  }

  /** Call after an attempt that succeeded. */
  reset() {
    this.#nextMs = FIRST_MS;
  }
}
