import type { Placement } from './placement.js';
import { mirrorNotes, type PositionNotes } from './notes.js';
import { mirrorPlacement } from './placement.js';

/** How a target is played: early and high, or late and low. */
export const INTENTS = ['attack', 'defend'] as const;
/** Attack: taken early and high, moving in. Defend: late and low, staying low. */
export type Intent = (typeof INTENTS)[number];

/** Ways to a target for which there are templates. */
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

/** Foot positions at the load, most open first. */
export const LOAD_STANCES = ['open', 'semi-open', 'neutral', 'closed'] as const;
export type LoadStance = (typeof LOAD_STANCES)[number];

/** Ways back home for which there are templates. */
export const RECOVERY_WAYS = [
  'shuffle back',
  'crossover then shuffle',
  'backpedal',
  'turn and run',
] as const;
export type RecoveryWay = (typeof RECOVERY_WAYS)[number];

/** The template of a leg, from which placements are laid. */
export interface LegPlan {
  /** Letter of the target. */
  readonly target: string;
  readonly intent: Intent;
  readonly travel: TravelWay;
  readonly load: LoadStance;
  readonly recover: RecoveryWay;
  /** Whether the steps on the way out should quicken. */
  readonly quicken: boolean;
}

/** From ready to ready again by way of a target. Times are ms on the pattern's clock, 0 at the cue. */
export interface Leg extends LegPlan {
  readonly firstMoveMs: number;
  readonly actionMs: number;
  readonly departureMs: number;
  /** In order of landing, after the split-step until home. */
  readonly placements: readonly Placement[];
  readonly notes: { readonly load: PositionNotes; readonly action: PositionNotes };
}

/** Index of the placement at the target; −1 if there is none. */
export const loadIndex = ({ placements }: Pick<Leg, 'placements'>): number =>
  placements.findIndex(({ phase }) => phase === 'load');

/** When the loading foot lands; `null` if there is none. */
export const arrivalMs = (leg: Pick<Leg, 'placements'>): number | null =>
  leg.placements[loadIndex(leg)]?.atMs ?? null;

/** When the last foot lands at home; `null` without a recovery. */
export const homeMs = ({ placements }: Pick<Leg, 'placements'>): number | null =>
  placements.findLast(({ phase }) => phase === 'recovery')?.atMs ?? null;

/** The leg mirrored; its target keeps its letter. */
export const mirrorLeg = (leg: Leg): Leg => ({
  ...leg,
  placements: leg.placements.map(mirrorPlacement),
  notes: { load: mirrorNotes(leg.notes.load), action: mirrorNotes(leg.notes.action) },
});
