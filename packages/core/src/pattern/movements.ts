import type { Leg } from './leg.js';
import type { Pattern } from './pattern.js';

/** Movements that load the legs most, counted per week. */
export const MOVEMENTS = ['splits', 'lunges', 'jumps'] as const;
export type Movement = (typeof MOVEMENTS)[number];
/** How often each. */
export type MovementCounts = Readonly<Record<Movement, number>>;

/** Zero of each. */
export const NO_MOVEMENTS: MovementCounts = { splits: 0, lunges: 0, jumps: 0 };

/** Adds two counts. */
export const addMovements = (one: MovementCounts, other: MovementCounts): MovementCounts => ({
  splits: one.splits + other.splits,
  lunges: one.lunges + other.lunges,
  jumps: one.jumps + other.jumps,
});

const ofLeg = ({ placements }: Pick<Leg, 'placements'>): MovementCounts => ({
  splits: 1,
  lunges: placements.filter(({ kind }) => kind === 'lunge').length,
  // A jump's two feet land at the same time.
  jumps: new Set(placements.filter(({ kind }) => kind === 'hop').map(({ atMs }) => atMs)).size,
});

/**
 * Split-steps, lunges and jumps of one rep to a target: one split-step each; of a target without feet
 * laid nothing more is known.
 * @param target its letter
 */
export function movementsOfRep({ legs }: Pick<Pattern, 'legs'>, target: string): MovementCounts {
  const leg = legs.find((one) => one.target === target);
  return leg ? ofLeg(leg) : { ...NO_MOVEMENTS, splits: 1 };
}
