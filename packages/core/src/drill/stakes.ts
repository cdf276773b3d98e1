import { hasNoneOf, type Fault, type RepReading } from '../timing/index.js';

/** What each lost rep of a pressure set adds. */
export interface LossCost {
  /** Reps that one lost rep adds. */
  readonly reps: number;
  /** Most that can be added to the set in all. */
  readonly most: number;
}

/** Least and most of what a lost rep may cost. */
export const LOSS_COST_LIMITS = {
  reps: [1, 5],
  most: [1, 30],
} as const satisfies Readonly<Record<keyof LossCost, readonly [least: number, most: number]>>;

/** So many reps running with a watched fault, and technique is gone: one can happen to anybody. */
export const FAULTY_REPS_RUNNING = 2;

const LOST_BY: readonly Fault[] = ['false start', 'missed', 'wrong way', 'moved on a catch trial'];

/**
 * Whether a rep is lost: nobody came in time, went early, went another way, moved though nothing
 * was called, or (where the rule is all the way home) turned round short of it.
 */
export const isLost = ({ leftOut, faults }: Pick<RepReading, 'leftOut' | 'faults'>): boolean =>
  leftOut !== 'struck out' && (leftOut === 'short of home' || !hasNoneOf({ faults }, LOST_BY));

/** Reps that a pressure set has grown by; 0 of any other set. */
export const addedReps = (
  readings: readonly Pick<RepReading, 'leftOut' | 'faults'>[],
  cost: LossCost | null | undefined,
): number => (cost ? Math.min(cost.most, cost.reps * readings.filter(isLost).length) : 0);

/**
 * Whether technique went: the last reps, in the order they were done, each carry a watched fault.
 * What was struck out is passed over.
 */
export function techniqueWent(
  readings: readonly Pick<RepReading, 'leftOut' | 'faults'>[],
  watched: readonly Fault[],
): boolean {
  const last = readings
    .filter(({ leftOut }) => leftOut !== 'struck out')
    .slice(-FAULTY_REPS_RUNNING);
  return last.length === FAULTY_REPS_RUNNING && !last.some((each) => hasNoneOf(each, watched));
}
