import {
  mirrorPoint,
  mirrorTarget,
  otherSide,
  type CourtName,
  type Point,
  type Side,
  type SizeM,
  type Target,
} from '../floor/index.js';
import { mirrorLeg, type Leg } from './leg.js';
import { mirrorNotes, NO_NOTES, type PositionNotes } from './notes.js';
import { mirrorStanding, type Standing } from './placement.js';
import type { Build } from './build.js';
import type { Rung } from './rung.js';

/** Home base on the floor: where on the court it lies, m, and its radius, m. */
export interface HomeBase {
  /** Where home base stands on the court, metres from the middle of the court's back edge. */
  readonly onCourt: Point;
  readonly radiusM: number;
}

/** A check's warning that the coach lets stand, and why. */
export interface Accepted {
  /** Which finding: see `findingKey` of footwork. */
  readonly finding: string;
  readonly reason: string;
}

/** What happens between "ready" and "ready again", for each of a set of targets. */
export interface Pattern {
  readonly name: string;
  readonly sport: string;
  readonly notes: string;
  readonly tags: readonly string[];
  /** The playing hand it is written for. */
  readonly hand: Side;
  readonly court: CourtName;
  /** Only for a court that has no size by its rules. */
  readonly sizeM: SizeM | null;
  readonly home: HomeBase;
  readonly targets: readonly Target[];
  /** Ready at home base, in floor coordinates. */
  readonly stance: Standing;
  /** Earliest and latest good split landing about the cue, ms (negative: before it). */
  readonly splitWindowMs: readonly [number, number];
  /** At most one a target; a target without one has no feet laid yet. */
  readonly legs: readonly Leg[];
  /** Of the positions all legs share; load and action are each leg's own. */
  readonly positions: {
    readonly stance: PositionNotes;
    readonly split: PositionNotes;
    readonly recovery: PositionNotes;
  };
  readonly laidFor: Build;
  readonly accepted: readonly Accepted[];
  /** From easy to hard; rung numbers count from 1 in this order. */
  readonly rungs: readonly Rung[];
}

/** Most targets of a pattern; six are many. */
export const MAX_TARGETS = 12;
/** Most rungs of a ladder. */
export const MAX_RUNGS = 30;

/** The pattern for the other hand. Mirrored twice it is the original. */
export const mirrorPattern = <Mirrored extends Pattern>(pattern: Mirrored): Mirrored => ({
  ...pattern,
  hand: otherSide(pattern.hand),
  home: { ...pattern.home, onCourt: mirrorPoint(pattern.home.onCourt) },
  targets: pattern.targets.map(mirrorTarget),
  stance: mirrorStanding(pattern.stance),
  legs: pattern.legs.map(mirrorLeg),
  positions: {
    stance: mirrorNotes(pattern.positions.stance),
    split: mirrorNotes(pattern.positions.split),
    recovery: mirrorNotes(pattern.positions.recovery),
  },
});

/** No notes on any position yet. */
export const NO_POSITIONS: Pattern['positions'] = {
  stance: NO_NOTES,
  split: NO_NOTES,
  recovery: NO_NOTES,
};

/** The target of a letter. */
export const targetOf = (pattern: Pick<Pattern, 'targets'>, letter: string): Target | undefined =>
  pattern.targets.find((target) => target.letter === letter);

/** The leg to the target of a letter. */
export const legOf = (pattern: Pick<Pattern, 'legs'>, letter: string): Leg | undefined =>
  pattern.legs.find((leg) => leg.target === letter);

/** The rung of a number, from 1. */
export const rungOf = (pattern: Pick<Pattern, 'rungs'>, number: number): Rung | undefined =>
  pattern.rungs.find((rung) => rung.number === number);
