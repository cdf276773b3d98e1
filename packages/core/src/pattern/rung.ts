/** The durations a rung may set a limit for. */
export const GATED_DURATIONS = ['reaction', 'response', 'recovery', 'cycle'] as const;
export type GatedDuration = (typeof GATED_DURATIONS)[number];

/** One step of the ladder: what is asked, and what must be shown before the next one. */
export interface Rung {
  readonly number: number;
  readonly name: string;
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
  /** Longest allowed times, ms. A duration without a limit is not judged. */
  readonly limitsMs: Readonly<Partial<Record<GatedDuration, number>>>;
  /** Share of a set's valid reps that must pass every limit, 0–1. */
  readonly passShare: number;
  /** Largest allowed share of false starts among the cued reps, 0–1. */
  readonly falseStartShare: number;
  /** Fewer valid reps than this decide nothing. */
  readonly minValidReps: number;
}
