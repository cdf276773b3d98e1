import {
  along,
  distance,
  heading,
  midpoint,
  offset,
  otherSide,
  sideSign,
  type Side,
} from '../floor/index.js';
import {
  baseWidth,
  type FootPlace,
  type Pattern,
  type RecoveryWay,
  type Standing,
  type StepKind,
} from '../pattern/index.js';
import { covered, footfall, onTrack, spread, TOE_OUT_DEG, type Footfall, type Way } from './way.js';

/** A shuffle carries the body at most this far at a time, metres. */
const SHUFFLE_M = 0.75;
/** The foot that crosses over lands this far along the way, at most. */
const CROSS_SHARE = 0.45;
/** Over more than this no foot reaches its stance in one step, metres. */
const ONE_STEP_M = 1;

type Ground = Pick<Pattern, 'stance' | 'laidFor'>;

/** Both feet into the stance at home base, in the order given. */
const intoStance = (stance: Standing, first: Side): Footfall[] =>
  [first, otherSide(first)].map((foot) => footfall(foot, stance[foot], 'recovery', 'plant', 0.5));

/** Alternate steps home, the body turned as told, the last two into the stance. */
function stepping(
  loaded: Standing,
  way: Way,
  { stance, laidFor }: Ground,
  first: Side,
  { headingDeg, kinds }: { headingDeg: number; kinds: readonly [StepKind, StepKind] },
): Footfall[] {
  const from = covered(way, loaded[otherSide(first)].at);
  const left = distance(way.from, way.to) - from;
  const least = left > ONE_STEP_M ? 1 : 0;
  const steps = Math.max(least, Math.ceil(left / (laidFor.strideM / 2)) - 2);
  const distances = spread(left, [...Array<number>(steps).fill(1), 0.7, 0.5]).slice(0, steps);
  // Backing up, the athlete's left is on the other side of the line.
  const track = Math.abs(headingDeg - heading(way.from, way.to)) > 90 ? -0.09 : 0.09;
  const falls = distances.map((metres, i) => {
    const foot = i % 2 === 0 ? first : otherSide(first);
    const at: FootPlace = { at: onTrack(way, from + metres, foot, track), headingDeg };
    return footfall(foot, at, 'recovery', kinds[i === 0 ? 0 : 1], 1);
  });
  return [...falls, ...intoStance(stance, steps % 2 === 0 ? first : otherSide(first))];
}

/** Facing forward, the foot nearer home first and the other after it; the last pair is the stance. */
function shuffling(way: Way, stance: Standing, lead: Side, firstKind: StepKind): Footfall[] {
  const total = distance(way.from, way.to);
  const pairs = Math.max(1, Math.ceil(total / SHUFFLE_M));
  const half = baseWidth(stance) / 2;
  const middles = spread(total, Array<number>(pairs).fill(1)).slice(0, -1);
  const falls = middles.flatMap((middle, i) =>
    [lead, otherSide(lead)].map((foot) => {
      const beside = { x: sideSign(foot) * half * (foot === lead ? 1 : 0.6), y: 0 };
      const at: FootPlace = {
        at: offset(along(way.from, way.to, middle / total), beside),
        headingDeg: sideSign(foot) * TOE_OUT_DEG,
      };
      return footfall(foot, at, 'recovery', i === 0 && foot === lead ? firstKind : 'shuffle', 0.5);
    }),
  );
  return [...falls, ...intoStance(stance, lead)];
}

/** The foot farther from home crosses over, then the athlete shuffles. */
function crossing(loaded: Standing, way: Way, ground: Ground, outside: Side): Footfall[] {
  const total = distance(way.from, way.to);
  const beyond = Math.max(0, covered(way, loaded[otherSide(outside)].at));
  const crossTo = Math.min(total * CROSS_SHARE + beyond, beyond + ground.laidFor.strideM / 2);
  const crossed: FootPlace = {
    at: onTrack(way, crossTo, outside),
    headingDeg: heading(way.from, way.to),
  };
  const rest: Way = { from: along(way.from, way.to, Math.min(1, crossTo / total)), to: way.to };
  return [
    footfall(outside, crossed, 'recovery', 'crossover', 1),
    ...shuffling(rest, ground.stance, otherSide(outside), 'shuffle'),
  ];
}

/** The way home as footfalls, from how the athlete stands at the load. */
export function layBack(
  loaded: Standing,
  recover: RecoveryWay,
  outside: Side,
  ground: Ground,
): Footfall[] {
  const way: Way = {
    from: midpoint(loaded.left.at, loaded.right.at),
    to: midpoint(ground.stance.left.at, ground.stance.right.at),
  };
  const inside = otherSide(outside);
  switch (recover) {
    case 'shuffle back':
      return shuffling(way, ground.stance, inside, 'push');
    case 'crossover then shuffle':
      return crossing(loaded, way, ground, outside);
    case 'backpedal':
      return stepping(loaded, way, ground, inside, { headingDeg: 0, kinds: ['push', 'run'] });
    case 'turn and run':
      return stepping(loaded, way, ground, inside, {
        headingDeg: heading(way.from, way.to),
        kinds: ['turn', 'run'],
      });
  }
}
