import { hasNoneOf, type Fault, type RepReading } from '../timing/index.js';

/** What a lost rep adds to a pressure set. */
export interface LossCost {
  /** Reps added per lost rep. */
  readonly reps: number;
  /** Most reps added in all. */
  readonly most: number;
}

/** Bounds of these. */
export const LOSS_COST_LIMITS = {
  reps: [1, 5],
  most: [1, 30],
} as const satisfies Readonly<Record<keyof LossCost, readonly [least: number, most: number]>>;

/** This many consecutive reps with a watched fault mean that technique has failed; one can happen to anybody. */
export const FAULTY_REPS_RUNNING = 2;

const LOST_BY: readonly Fault[] = ['false start', 'missed', 'wrong way', 'moved on a catch trial'];

/**
 * Whether a rep is lost: too slow, a false start, the wrong way, moved without a call, or (if the rule is all the way
 * home) turned short of it.
 */
export const isLost = ({ leftOut, faults }: Pick<RepReading, 'leftOut' | 'faults'>): boolean =>
  leftOut !== 'struck out' && (leftOut === 'short of home' || !hasNoneOf({ faults }, LOST_BY));

/** How many reps a pressure set has grown by; 0 for other sets. */
export const addedReps = (
  readings: readonly Pick<RepReading, 'leftOut' | 'faults'>[],
  cost: LossCost | null | undefined,
): number => (cost ? Math.min(cost.most, cost.reps * readings.filter(isLost).length) : 0);

/** Whether technique has failed: the last reps all have a watched fault. Reps that were struck out are ignored. */
export function techniqueWent(
  readings: readonly Pick<RepReading, 'leftOut' | 'faults'>[],
  watched: readonly Fault[],
): boolean {
  const last = readings
    .filter(({ leftOut }) => leftOut !== 'struck out')
    .slice(-FAULTY_REPS_RUNNING);
  return last.length === FAULTY_REPS_RUNNING && !last.some((each) => hasNoneOf(each, watched));
}
