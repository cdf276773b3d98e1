import { mirrorTarget, type CourtName, type Point, type Target } from '../floor/index.js';
import type { Rung } from './rung.js';

export interface HomeBase {
  /** Where home base stands on the court, metres from the middle of the court's back edge. */
  readonly onCourt: Point;
  readonly radiusM: number;
}

/** What happens between "ready" and "ready again", for each of a set of targets. */
export interface Pattern {
  readonly name: string;
  readonly court: CourtName;
  readonly home: HomeBase;
  readonly targets: readonly Target[];
  /** Earliest and latest good split landing about the cue, ms (negative: before it). */
  readonly splitWindowMs: readonly [number, number];
  /** From easy to hard; rung numbers count from 1 in this order. */
  readonly rungs: readonly Rung[];
}

/** The pattern for the other hand. Mirrored twice it is the original. */
export const mirrorPattern = (pattern: Pattern): Pattern => ({
  ...pattern,
  home: {
    ...pattern.home,
    onCourt: { x: 0 - pattern.home.onCourt.x, y: pattern.home.onCourt.y },
  },
  targets: pattern.targets.map(mirrorTarget),
});

export const targetOf = (pattern: Pick<Pattern, 'targets'>, letter: string): Target | undefined =>
  pattern.targets.find((target) => target.letter === letter);

export const rungOf = (pattern: Pick<Pattern, 'rungs'>, number: number): Rung | undefined =>
  pattern.rungs.find((rung) => rung.number === number);
