/** The athlete a pattern's feet are laid for. Lengths are metres, times ms. */
export interface Build {
  readonly shoulderM: number;
  /** From one landing to the next of the same foot, at a run: two steps. */
  readonly strideM: number;
  /** From the feet to the contact point. 0: the marker is where the loading foot goes. */
  readonly reachM: number;
  readonly reactionMs: number;
  /** Equal acceleration and braking in m/s², and a top speed in m/s. */
  readonly travel: { readonly acceleration: number; readonly topSpeed: number };
}

/** A club player of middling size. */
export const TYPICAL_BUILD: Build = {
  shoulderM: 0.42,
  strideM: 1.6,
  reachM: 0,
  reactionMs: 220,
  travel: { acceleration: 12, topSpeed: 4.4 },
};

/**
 * How far short of its marker a way ends for somebody who takes what comes a reach away from where they
 * stand, m: never more than half of the way.
 */
export const shortOf = (awayM: number, reachM: number): number => Math.min(reachM, awayM / 2);
