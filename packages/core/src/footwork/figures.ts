import {
  distance,
  HOME,
  heading,
  midpoint,
  otherSide,
  pathLength,
  turn,
  type Point,
} from '../floor/index.js';
import {
  arrivalMs,
  baseWidth,
  homeMs,
  POSITION_NAMES,
  positionOf,
  standings,
  targetOf,
  type Leg,
  type Pattern,
  type PositionName,
} from '../pattern/index.js';
import { pathsOf } from './steps.js';

/** Path length over straight distance of its ends; 1 is straight. `null` for a path that goes nowhere. */
export function detourRatio(path: readonly Point[]): number | null {
  const [first, last] = [path[0], path.at(-1)];
  if (!first || !last || distance(first, last) < 0.05) return null;
  return pathLength(path) / distance(first, last);
}

/** What is read off one way, there or back. */
export interface WayFigures {
  /** Straight from the first to the last middle between the feet, metres. */
  readonly straightM: number;
  /** Length of the middle's path, metres. */
  readonly pathM: number;
  readonly detour: number | null;
  readonly steps: number;
  /** Out: cue to arrival. Back: action to home. `null` while an end is missing. */
  readonly ms: number | null;
}

/** What is read off a leg: both ways, the load and the times. */
export interface LegFigures {
  /** Straight from home base to the target, metres. */
  readonly toTargetM: number;
  readonly out: WayFigures;
  readonly back: WayFigures;
  /** Metres, by position; positions that are missing have none. */
  readonly baseWidthsM: Readonly<Partial<Record<PositionName, number>>>;
}

function wayFigures(path: readonly Point[], steps: number, ms: number | null): WayFigures {
  const [first = HOME, last = HOME] = [path[0], path.at(-1)];
  return {
    straightM: distance(first, last),
    pathM: pathLength(path),
    detour: detourRatio(path),
    steps,
    ms,
  };
}

/** What can be measured of a leg as it is written down. */
export function legFigures(pattern: Pattern, leg: Leg): LegFigures {
  const paths = pathsOf(pattern, leg);
  const stepsIn = (...phases: string[]) =>
    leg.placements.filter(({ phase }) => phases.includes(phase)).length;
  const home = homeMs(leg);
  const widths: Partial<Record<PositionName, number>> = {};
  for (const name of POSITION_NAMES) {
    const standing = positionOf(pattern, leg, name);
    if (standing) widths[name] = baseWidth(standing);
  }
  return {
    toTargetM: distance(HOME, targetOf(pattern, leg.target)?.at ?? HOME),
    out: wayFigures(paths.out, stepsIn('travel', 'load', 'action'), arrivalMs(leg)),
    back: wayFigures(paths.back, stepsIn('recovery'), home === null ? null : home - leg.actionMs),
    baseWidthsM: widths,
  };
}

/** Length of each step of a leg, m: from where the other foot stands to where this one lands. */
export function stepLengthsM({ stance }: Pick<Pattern, 'stance'>, { placements }: Leg): number[] {
  const before = [stance, ...standings(stance, placements)];
  return placements.map(({ foot, at }, i) => {
    const other = (before[i] ?? stance)[otherSide(foot)];
    return distance(at, other.at);
  });
}

/** How far outside home base the middle between the feet ends, m; 0 inside it, `null` without a way home. */
export function shortOfHomeM(pattern: Pattern, leg: Leg): number | null {
  const standing = positionOf(pattern, leg, 'recovery');
  if (!standing) return null;
  const middle = midpoint(standing.left.at, standing.right.at);
  return Math.max(0, distance(middle, HOME) - pattern.home.radiusM);
}

/** A path turns where its heading changes by more than this, degrees. */
const TURN_DEG = 60;
/** Shorter pieces of a path have no heading worth the name, metres. */
const LEAST_PIECE_M = 0.15;

/** How often a path changes direction by more than 60°, pieces under 15 cm left out. */
export function changesOfDirection(path: readonly Point[]): number {
  const corners = path.filter((point, i) => i === 0 || distance(point, path[i - 1] ?? point) > 0);
  const kept: Point[] = [];
  for (const point of corners) {
    const last = kept.at(-1);
    if (!last || distance(last, point) >= LEAST_PIECE_M) kept.push(point);
  }
  const headings = kept.slice(1).map((point, i) => heading(kept[i] ?? point, point));
  return headings.filter(
    (next, i) => i > 0 && Math.abs(turn(headings[i - 1] ?? next, next)) > TURN_DEG,
  ).length;
}

/** How hard a pattern is, as separate figures; no single score is made of them. */
export interface PatternFigures {
  /** log2 of the targets in play, when every next target is equally likely. */
  readonly bitsOfChoice: number;
  /** Mean straight distance out and back, metres. */
  readonly distancePerRepM: number;
  /** Mean per rep over the legs laid, the turn at home base included; `null` with none laid. */
  readonly turnsPerRep: number | null;
  /** Mean from cue to home over the legs laid, ms; `null` with none laid. */
  readonly cycleMs: number | null;
}

const meanOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

/** How hard a pattern is, as separate figures: no single score is made of them. */
export function patternFigures(pattern: Pattern): PatternFigures {
  const turns = pattern.legs.map((leg) => {
    const { out, back } = pathsOf(pattern, leg);
    return changesOfDirection([...out, ...back.slice(1)]) + 1;
  });
  const cycles = pattern.legs.flatMap((leg) => homeMs(leg) ?? []);
  return {
    bitsOfChoice: pattern.targets.length === 0 ? 0 : Math.log2(pattern.targets.length),
    distancePerRepM: 2 * (meanOf(pattern.targets.map(({ at }) => distance(HOME, at))) ?? 0),
    turnsPerRep: meanOf(turns),
    cycleMs: meanOf(cycles),
  };
}
