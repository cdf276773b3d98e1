import type { TravelModel } from '../budget/index.js';
import type { Side } from '../floor/index.js';

/** An athlete made of numbers, who can be timed like a real one. Times are those of full practice. */
export interface SimulatedAthlete {
  /** Ex-Gaussian reaction: normal(mu, sigma) plus exponential(tau), ms (Luce 1986). */
  readonly reaction: { readonly muMs: number; readonly sigmaMs: number; readonly tauMs: number };
  readonly travel: TravelModel;
  /** Typical time from planting to acting, and from acting to turning back. */
  readonly loadMs: number;
  readonly actionMs: number;
  /** Way back as a multiple of the way out. */
  readonly recoveryFactor: number;
  /** Times before the first session are 1 + gain of the final ones and fall by rate a session. */
  readonly learning: { readonly gain: number; readonly ratePerSession: number };
  /** Share by which times grow with every rep of a set. */
  readonly fadePerRep: number;
  /** Travel to and from this side takes `factor` times as long. */
  readonly weakSide: { readonly side: Side; readonly factor: number } | null;
  /** Share of cues the athlete guesses instead of reading. */
  readonly falseStartShare: number;
  /** Sd of a day's own form, as a share of the times; none where it is not said. */
  readonly dayFormSd?: number;
}

/** A club player of no particular strength, for whom no model has been made. */
export const TYPICAL_ATHLETE: SimulatedAthlete = {
  reaction: { muMs: 215, sigmaMs: 22, tauMs: 35 },
  travel: { acceleration: 14, topSpeed: 4.6 },
  loadMs: 130,
  actionMs: 70,
  recoveryFactor: 1.02,
  learning: { gain: 0.25, ratePerSession: 0.15 },
  fadePerRep: 0.004,
  weakSide: { side: 'left', factor: 1.06 },
  falseStartShare: 0.03,
  dayFormSd: 0.02,
};
