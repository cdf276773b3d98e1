import {
  along,
  distance,
  heading,
  HOME,
  midpoint,
  minus,
  offset,
  otherSide,
  sideSign,
  type Side,
  type Target,
} from '../floor/index.js';
import {
  baseWidth,
  type Build,
  type LegPlan,
  type Pattern,
  type Standing,
  type StepKind,
  type TravelWay,
} from '../pattern/index.js';
import { footPlace, loadGeometry, type LoadGeometry } from './load.js';
import {
  covered,
  footfall,
  onTrack,
  spread,
  TOE_OUT_DEG,
  type Footfall,
  type Landing,
  type Way,
} from './way.js';

/** Distance covered by a hop into the load, m. */
const HOP_M = 0.7;
/** Longest step of a shuffle's lead foot, m. */
const SHUFFLE_M = 0.75;

/** Longest running step, as a share of the stride. */
const LONGEST_RUN = 0.75;

/** The foot that has to step first; `null` if either may. */
function firstFoot(travel: TravelWay, outside: Side): Side | null {
  if (travel === 'crossover out') return otherSide(outside);
  if (travel === 'drop-step and run back') return outside;
  return null;
}

const FIRST_KIND: Readonly<Partial<Record<TravelWay, StepKind>>> = {
  'crossover out': 'crossover',
  'drop-step and run back': 'drop',
};

const LOAD_KIND: Readonly<Partial<Record<TravelWay, StepKind>>> = {
  lunge: 'lunge',
  'hop load': 'hop',
};

/** Relative step lengths: a short first one, and adjusting ones before the load. */
function proportions(steps: number, travel: TravelWay): number[] {
  const adjusting = travel === 'run forward' ? [0.85, 0.7, 0.55] : [0.8, 0.6];
  return Array.from({ length: steps }, (_, i) => {
    const fromEnd = steps - 1 - i;
    const braking =
      fromEnd < adjusting.length ? adjusting[adjusting.length - 1 - fromEnd] : undefined;
    if (steps > 1 && braking !== undefined) return braking;
    return i === 0 ? 0.9 : 1;
  });
}

/** Number of running steps up to the last foot before the load. */
function stepCount(lengthM: number, plan: LegPlan, build: Build, geometry: LoadGeometry): number {
  const byStride = Math.ceil(lengthM / (build.strideM / 2));
  if (plan.travel === 'approach') return Math.min(3, Math.max(1, byStride));
  const extra = plan.travel === 'run forward' ? 1 : 0;
  const wanted = Math.max(1, byStride + extra);
  const first = firstFoot(plan.travel, geometry.outside);
  if (first === null) return wanted;
  // Feet alternate up to the lead foot, so the number of steps determines which one begins.
  const begins = wanted % 2 === 1 ? otherSide(geometry.lead) : geometry.lead;
  if (begins === first) return wanted;
  const fewer = wanted - 1;
  return fewer > 0 && lengthM / fewer <= LONGEST_RUN * build.strideM ? fewer : wanted + 1;
}

/** What the way out is laid from. */
interface Ground {
  readonly plan: LegPlan;
  readonly build: Build;
  readonly stance: Standing;
  readonly geometry: LoadGeometry;
  readonly way: Way;
}

/** Alternating steps in their tracks; the last is the foot that rests at the load. */
function alternating({ plan, stance, geometry, way }: Ground, upTo: number, steps: number) {
  const rest = otherSide(geometry.lead);
  const footOf = (i: number) => ((steps - 1 - i) % 2 === 0 ? rest : geometry.lead);
  // The first step is measured from the foot that stays on the floor.
  const from = covered(way, stance[otherSide(footOf(0))].at);
  const distances = spread(upTo - from, proportions(steps, plan.travel));
  const runs = heading(way.from, way.to);
  return distances.map((metres, i) => {
    const foot = footOf(i);
    const at = footPlace(onTrack(way, from + metres, foot), runs);
    return footfall(foot, at, 'travel', i === 0 ? (FIRST_KIND[plan.travel] ?? 'run') : 'run', 1);
  });
}

/** Running steps up to the foot that rests at the load. */
function runningSteps(ground: Ground): Footfall[] {
  const { plan, build, geometry, way } = ground;
  const upTo = Math.max(0.2, covered(way, geometry.restPlace.at));
  const steps = alternating(ground, upTo, stepCount(upTo, plan, build, geometry));
  // The last step goes to its place at the load; those before approach it gradually.
  const [last] = steps.slice(-1);
  const aside = last ? minus(geometry.restPlace.at, last.at) : HOME;
  return steps.map((step, i) =>
    step === last
      ? { ...step, ...geometry.restPlace }
      : { ...step, at: offset(step.at, aside, (i + 1) / steps.length) },
  );
}

/** Running steps, then a hop that lands on both feet. */
function hopSteps(ground: Ground): Footfall[] {
  const upTo = distance(ground.way.from, ground.way.to) - HOP_M;
  return upTo <= 0 ? [] : alternating(ground, upTo, Math.ceil(upTo / (ground.build.strideM / 2)));
}

/** A shuffle, facing forward: the lead foot out, the other after it, never past it. */
function shuffleSteps({ stance, geometry, way }: Ground): Footfall[] {
  const { lead, restPlace } = geometry;
  const trail = otherSide(lead);
  const half = baseWidth(stance) / 2;
  const pairs = Math.max(1, Math.round(distance(way.from, way.to) / SHUFFLE_M));
  const middles = spread(distance(way.from, way.to) - half, Array<number>(pairs).fill(1));
  const put = (foot: Side, middle: number, spreadM: number): Footfall => {
    const at = offset(along(way.from, way.to, middle / distance(way.from, way.to)), {
      x: sideSign(foot) * spreadM,
      y: 0,
    });
    return footfall(foot, footPlace(at, sideSign(foot) * TOE_OUT_DEG), 'travel', 'shuffle', 0.5);
  };
  return middles.flatMap((middle, i) => {
    const close = put(trail, middle, half * 0.6);
    return [put(lead, middle, half), i === pairs - 1 ? { ...close, ...restPlace } : close];
  });
}

/** The way out to a target: travel steps, the load, and a step in if the stance has one. */
export function layOut(
  target: Target,
  plan: LegPlan,
  { laidFor: build, hand, stance }: Pick<Pattern, 'laidFor' | 'hand' | 'stance'>,
): { readonly landings: readonly Landing[]; readonly stepIn: Landing } {
  const geometry = loadGeometry(target, plan, build, hand);
  const { lead, leadPlace, restPlace } = geometry;
  const rest = otherSide(lead);
  const way: Way = { from: HOME, to: midpoint(leadPlace.at, restPlace.at) };
  const ground = { plan, build, stance, geometry, way };
  const kind = LOAD_KIND[plan.travel] ?? 'plant';
  const planted = footfall(lead, leadPlace, 'load', kind, 0.7);
  const stepIn = geometry.stepIn ? [footfall(rest, geometry.stepIn, 'load', 'plant', 0.4)] : [];
  const singly = (falls: readonly Footfall[]) => falls.map((fall) => [fall]);
  switch (plan.travel) {
    case 'hop load': {
      const landed = footfall(rest, restPlace, 'load', kind, 0.4);
      return {
        landings: [...singly(hopSteps(ground)), [landed, { ...planted, weight: 0.6 }]],
        stepIn,
      };
    }
    case 'shuffle out':
      return { landings: singly([...shuffleSteps(ground), planted]), stepIn };
    case 'crossover out':
    case 'drop-step and run back':
    case 'run forward':
    case 'lunge':
    case 'approach':
      return { landings: singly([...runningSteps(ground), planted]), stepIn };
  }
}
