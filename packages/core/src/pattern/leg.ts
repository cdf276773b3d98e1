import type { Placement } from './placement.js';
import { mirrorNotes, type PositionNotes } from './notes.js';
import { mirrorPlacement } from './placement.js';

/** How a target is played: early and high, or late and low. */
export const INTENTS = ['attack', 'defend'] as const;
/** Attack: taken early and high, moving in. Defend: late and low, staying low. */
export type Intent = (typeof INTENTS)[number];

/** Ways to a target that can be laid by themselves. */
export const TRAVEL_WAYS = [
  'shuffle out',
  'crossover out',
  'drop-step and run back',
  'run forward',
  'lunge',
  'hop load',
  'approach',
] as const;
export type TravelWay = (typeof TRAVEL_WAYS)[number];

/** How the feet stand at the load, the most open first. */
export const LOAD_STANCES = ['open', 'semi-open', 'neutral', 'closed'] as const;
export type LoadStance = (typeof LOAD_STANCES)[number];

/** Ways back home that can be laid by themselves. */
export const RECOVERY_WAYS = [
  'shuffle back',
  'crossover then shuffle',
  'backpedal',
  'turn and run',
] as const;
export type RecoveryWay = (typeof RECOVERY_WAYS)[number];

/** How a leg is to be danced: what the placements are laid from. */
export interface LegPlan {
  /** Letter of its target. */
  readonly target: string;
  readonly intent: Intent;
  readonly travel: TravelWay;
  readonly load: LoadStance;
  readonly recover: RecoveryWay;
  /** The steps out are to quicken. */
  readonly quicken: boolean;
}

/** From ready to ready again by way of one target. Times are ms on the pattern's clock, 0 at the cue. */
export interface Leg extends LegPlan {
  readonly firstMoveMs: number;
  readonly actionMs: number;
  readonly departureMs: number;
  /** In order of landing; between split and home. */
  readonly placements: readonly Placement[];
  readonly notes: { readonly load: PositionNotes; readonly action: PositionNotes };
}

/** Index of the foot that is planted at the target; −1 when no foot is. */
export const loadIndex = ({ placements }: Pick<Leg, 'placements'>): number =>
  placements.findIndex(({ phase }) => phase === 'load');

/** When the loading foot is planted; `null` without one. */
export const arrivalMs = (leg: Pick<Leg, 'placements'>): number | null =>
  leg.placements[loadIndex(leg)]?.atMs ?? null;

/** When the last foot is down at home; `null` while no recovery is laid. */
export const homeMs = ({ placements }: Pick<Leg, 'placements'>): number | null =>
  placements.findLast(({ phase }) => phase === 'recovery')?.atMs ?? null;

/** The same leg on the other side of the athlete; its target's letter stays. */
export const mirrorLeg = (leg: Leg): Leg => ({
  ...leg,
  placements: leg.placements.map(mirrorPlacement),
  notes: { load: mirrorNotes(leg.notes.load), action: mirrorNotes(leg.notes.action) },
});
