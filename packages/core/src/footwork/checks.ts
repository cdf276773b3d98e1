import { distance, dot, headed, HOME, minus, offset, sideOf, type Point } from '../floor/index.js';
import {
  baseWidth,
  legOf,
  loadIndex,
  POSITION_NAMES,
  positionOf,
  standings,
  targetOf,
  type FootPlace,
  type Leg,
  type Pattern,
  type PositionName,
  type Standing,
} from '../pattern/index.js';
import type { Finding } from './findings.js';
import { detourRatio } from './figures.js';
import { outsideOf } from './load.js';
import { rhythmOf } from './rhythm.js';
import { AT_ONCE_MS, outAndBack, outTimes, pathsOf, stepsOf } from './steps.js';

/** Base width allowed in each position, as multiples of the shoulder width. */
const BASE_MULTIPLES: Readonly<Record<PositionName, readonly [number, number]>> = {
  stance: [1.1, 1.8],
  split: [1.1, 2],
  load: [1.2, 2.8],
  action: [1, 2.8],
  recovery: [1.1, 1.8],
};
/** Longer than straight by more than this is a detour. */
export const MAX_DETOUR = 1.1;
/** Farthest apart that two feet land, metres. */
const MAX_STEP_M = 1.6;
/** Fastest that a foot is carried through the air, m/s. */
const MAX_SWING_SPEED = 9;
/** Quickest that one foot lands after the other, unless both land at once, ms. */
const MIN_INTERVAL_MS = 80;
/** A sole's half length less its rounding, and its width, metres. */
const SOLE_REACH_M = 0.09;
const SOLE_WIDTH_M = 0.1;
/** How far a foot may end from its place in the stance, metres. */
const STANCE_SLACK_M = 0.15;
/** Feet nearer to crossing than this are level, metres. */
const CROSSING_SLACK_M = 0.02;

type Seen = Omit<Partial<Finding>, 'leg'> & Pick<Finding, 'check'>;

/** A pattern's leg under inspection, with what every check needs of it. */
interface Inspected {
  readonly pattern: Pattern;
  readonly leg: Leg;
  readonly target: Point;
}

type Check = (inspected: Inspected) => readonly Seen[];

const NAMED = POSITION_NAMES.filter((name) => name !== 'stance');

const positionMissing: Check = ({ pattern, leg }) =>
  NAMED.filter((name) => positionOf(pattern, leg, name) === null).map((position) => ({
    check: 'position missing',
    position,
  }));

const baseWidths: Check = ({ pattern, leg }) =>
  POSITION_NAMES.flatMap((position): Seen[] => {
    const standing = positionOf(pattern, leg, position);
    if (!standing) return [];
    const measured = baseWidth(standing);
    const [low, high] = BASE_MULTIPLES[position];
    const allowed = [low * pattern.laidFor.shoulderM, high * pattern.laidFor.shoulderM] as const;
    if (measured >= allowed[0] && measured <= allowed[1]) return [];
    return [{ check: 'base width', position, measured, allowed, unit: 'm' }];
  });

const detours: Check = ({ pattern, leg }) => {
  const paths = pathsOf(pattern, leg);
  return (['out', 'back'] as const).flatMap((way): Seen[] => {
    const measured = detourRatio(paths[way]);
    if (measured === null || measured <= MAX_DETOUR) return [];
    return [{ check: 'detour', way, measured, allowed: [1, MAX_DETOUR], unit: 'times' }];
  });
};

/** The last step before the load is expected to be shorter than the one before. */
const brakingStep: Check = ({ pattern, leg }) => {
  const travel = stepsOf(pattern, leg).filter(({ placement }) => placement.phase === 'travel');
  const [before, last] = travel.slice(-2);
  if (!before || !last || last.lengthM < before.lengthM) return [];
  return [
    {
      ...{ check: 'braking step', steps: [last.index], measured: last.lengthM },
      ...{ allowed: [null, before.lengthM], unit: 'm' },
    } as const,
  ];
};

/** Open and semi-open stances load the outside leg. */
const loadingSide: Check = ({ pattern, leg, target }) => {
  const first = leg.placements[loadIndex(leg)];
  const opened = leg.load === 'open' || leg.load === 'semi-open';
  if (!first || !opened || sideOf(target) === null) return [];
  // A hop lands on both feet: the one that bears more is the loading leg.
  const loading = leg.placements
    .filter(({ phase, atMs }) => phase === 'load' && atMs - first.atMs < AT_ONCE_MS)
    .reduce((most, next) => (next.weight > most.weight ? next : most), first);
  if (loading.foot === outsideOf(target, pattern.hand)) return [];
  return [{ check: 'loading side', position: 'load', steps: [leg.placements.indexOf(loading)] }];
};

/** How far the left foot is to the right of the right one, in the direction both face, metres. */
function crossedBy({ left, right }: Standing): number {
  const facing = offset(headed(left.headingDeg), headed(right.headingDeg));
  const length = Math.hypot(facing.x, facing.y);
  if (length === 0) return 0;
  return dot(minus(left.at, right.at), { x: facing.y / length, y: -facing.x / length });
}

const feetCrossing: Check = ({ pattern, leg }) =>
  standings(pattern.stance, leg.placements).flatMap((standing, index): Seen[] => {
    if (leg.placements[index]?.kind !== 'shuffle') return [];
    const measured = crossedBy(standing);
    if (measured <= CROSSING_SLACK_M) return [];
    const allowed = [null, CROSSING_SLACK_M] as const;
    return [{ check: 'feet crossing', steps: [index], measured, allowed, unit: 'm' }];
  });

/** Heel, middle and toe of a sole. */
const solePoints = ({ at, headingDeg }: FootPlace): Point[] =>
  [-1, 0, 1].map((share) => offset(at, headed(headingDeg), share * SOLE_REACH_M));

const soleGap = (a: FootPlace, b: FootPlace): number =>
  Math.min(...solePoints(a).flatMap((p) => solePoints(b).map((q) => distance(p, q))));

const feetOverlapping: Check = ({ pattern, leg }) =>
  standings(pattern.stance, leg.placements).flatMap(({ left, right }, index): Seen[] => {
    // Most feet are so far apart that their soles need no closer look.
    if (distance(left.at, right.at) > 2 * SOLE_REACH_M + SOLE_WIDTH_M) return [];
    const measured = soleGap(left, right);
    if (measured >= SOLE_WIDTH_M) return [];
    const allowed = [SOLE_WIDTH_M, null] as const;
    return [{ check: 'feet overlapping', steps: [index], measured, allowed, unit: 'm' }];
  });

const possibleSteps: Check = ({ pattern, leg }) =>
  stepsOf(pattern, leg).flatMap(
    ({ index, lengthM, swingM, sinceOwnMs, intervalMs, placement }): Seen[] => {
      const found: Seen[] = [];
      if (lengthM > MAX_STEP_M)
        found.push({
          ...{ check: 'step too long', steps: [index] },
          ...{ measured: lengthM, allowed: [null, MAX_STEP_M], unit: 'm' },
        });
      const speed = sinceOwnMs === null || sinceOwnMs <= 0 ? 0 : (1000 * swingM) / sinceOwnMs;
      const other = leg.placements[index - 1]?.foot !== placement.foot;
      const atOnce = other && intervalMs !== null && intervalMs < AT_ONCE_MS;
      if (speed > MAX_SWING_SPEED)
        found.push({
          ...{ check: 'step too fast', steps: [index] },
          ...{ measured: speed, allowed: [null, MAX_SWING_SPEED], unit: 'm/s' },
        });
      else if (intervalMs !== null && intervalMs < MIN_INTERVAL_MS && !atOnce)
        found.push({
          ...{ check: 'step too fast', steps: [index] },
          ...{ measured: intervalMs, allowed: [MIN_INTERVAL_MS, null], unit: 'ms' },
        });
      return found;
    },
  );

const quickening: Check = ({ leg }) => {
  if (!leg.quicken) return [];
  const { breaksAt, intervalsMs } = rhythmOf(outTimes(leg));
  if (breaksAt < 0) return [];
  const firstStep = leg.placements.findIndex(({ phase }) => phase === 'travel' || phase === 'load');
  return [
    {
      ...{ check: 'not quickening', steps: [firstStep + breaksAt + 1], unit: 'ms' },
      measured: intervalsMs[breaksAt] ?? null,
      allowed: [null, 1.05 * (intervalsMs[breaksAt - 1] ?? 0)],
    },
  ];
};

const homeReached: Check = ({ pattern, leg }) => {
  const standing = positionOf(pattern, leg, 'recovery');
  if (!standing) return [];
  const off = Math.max(
    ...(['left', 'right'] as const).map((side) =>
      distance(standing[side].at, pattern.stance[side].at),
    ),
  );
  const outside = Math.max(distance(HOME, standing.left.at), distance(HOME, standing.right.at));
  if (off <= STANCE_SLACK_M && outside <= Math.max(pattern.home.radiusM, baseWidth(pattern.stance)))
    return [];
  return [
    {
      check: 'short of home',
      position: 'recovery',
      measured: off,
      allowed: [null, STANCE_SLACK_M],
      unit: 'm',
    },
  ];
};

const splitLanding: Check = ({ pattern, leg }) => {
  const landings = leg.placements.flatMap(({ phase, atMs }) => (phase === 'split' ? [atMs] : []));
  if (landings.length < 2) return [];
  const [first, last] = [Math.min(...landings), Math.max(...landings)];
  const found: Seen[] = [];
  const [from, to] = pattern.splitWindowMs;
  if (last < from || last > to)
    found.push({
      ...{ check: 'split window', position: 'split', measured: last },
      ...{ allowed: pattern.splitWindowMs, unit: 'ms' },
    });
  if (last - first > AT_ONCE_MS)
    found.push({
      ...{ check: 'split uneven', position: 'split', measured: last - first },
      ...{ allowed: [null, AT_ONCE_MS], unit: 'ms' },
    });
  return found;
};

const ALL: readonly Check[] = [
  positionMissing,
  splitLanding,
  loadingSide,
  baseWidths,
  brakingStep,
  detours,
  feetCrossing,
  feetOverlapping,
  possibleSteps,
  quickening,
  homeReached,
];

/** Everything amiss with the leg to a target, gravest first; none while no feet are laid to it. */
export function checkLeg(pattern: Pattern, letter: string): Finding[] {
  const leg = legOf(pattern, letter);
  const target = targetOf(pattern, letter);
  if (!leg || !target || outAndBack(leg).out.length === 0) return [];
  return ALL.flatMap((check) => check({ pattern, leg, target: target.at })).map((seen) => ({
    ...{ leg: letter, position: null, way: null, steps: [], measured: null, unit: null },
    allowed: [null, null] as const,
    ...seen,
  }));
}

/** Everything amiss with a pattern, leg by leg. */
export const checkFootwork = (pattern: Pattern): Finding[] =>
  pattern.legs.flatMap(({ target }) => checkLeg(pattern, target));
