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

/** Home base: its place on the court, and its radius, m. */
export interface HomeBase {
  /** Where home base stands on the court, metres from the middle of the court's back edge. */
  readonly onCourt: Point;
  readonly radiusM: number;
}

/** A finding that the coach has accepted, with the reason. */
export interface Accepted {
  /** Key of the finding: see `findingKey` of footwork. */
  readonly finding: string;
  readonly reason: string;
}

/** A pattern: what happens between "ready" and "ready again", for each of its targets. */
export interface Pattern {
  readonly name: string;
  readonly sport: string;
  readonly notes: string;
  readonly tags: readonly string[];
  /** The playing hand it is written for. */
  readonly hand: Side;
  readonly court: CourtName;
  /** Only for a court whose size is not fixed by its rules. */
  readonly sizeM: SizeM | null;
  readonly home: HomeBase;
  readonly targets: readonly Target[];
  /** The stance at home base, in floor coordinates. */
  readonly stance: Standing;
  /** Earliest and latest good split landing relative to the cue, ms (negative: before it). */
  readonly splitWindowMs: readonly [number, number];
  /** At most one per target; a target may have none yet. */
  readonly legs: readonly Leg[];
  /** Notes on positions shared by all legs; load and action are noted per leg. */
  readonly positions: {
    readonly stance: PositionNotes;
    readonly split: PositionNotes;
    readonly recovery: PositionNotes;
  };
  readonly laidFor: Build;
  readonly accepted: readonly Accepted[];
  /** From easy to hard; rung numbers count from 1. */
  readonly rungs: readonly Rung[];
}

/** Most targets of a pattern; six are already many. */
export const MAX_TARGETS = 12;
/** Most rungs of a ladder. */
export const MAX_RUNGS = 30;

/** The pattern for the other hand. Mirroring twice restores the original. */
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

/** Empty notes on all positions. */
export const NO_POSITIONS: Pattern['positions'] = {
  stance: NO_NOTES,
  split: NO_NOTES,
  recovery: NO_NOTES,
};

/** The target with a letter. */
export const targetOf = (pattern: Pick<Pattern, 'targets'>, letter: string): Target | undefined =>
  pattern.targets.find((target) => target.letter === letter);

/** The leg to the target with a letter. */
export const legOf = (pattern: Pick<Pattern, 'legs'>, letter: string): Leg | undefined =>
  pattern.legs.find((leg) => leg.target === letter);

/** The rung with a number, from 1. */
export const rungOf = (pattern: Pick<Pattern, 'rungs'>, number: number): Rung | undefined =>
  pattern.rungs.find((rung) => rung.number === number);
