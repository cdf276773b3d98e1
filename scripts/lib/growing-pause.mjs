const FIRST_MS = 1000;
const LONGEST_MS = 60_000;

/** Pauses between tries: each twice as long as the one before, up to a minute. */
export class GrowingPause {
  #nextMs = FIRST_MS;

  /** How long to wait now. */
  next() {
    const ms = this.#nextMs;
    this.#nextMs = Math.min(LONGEST_MS, 2 * ms);
    return ms;
  }

  /** After a try that went well. */
  reset() {
    this.#nextMs = FIRST_MS;
  }
}
