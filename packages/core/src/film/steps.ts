import {
  distance,
  dot,
  heading,
  headed,
  HOME,
  minus,
  otherSide,
  turn,
  type Point,
  type Side,
} from '../floor/index.js';
import {
  legOf,
  NO_NOTES,
  targetOf,
  type Leg,
  type Pattern,
  type Placement,
  type PlacementPhase,
  type StepKind,
} from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { eventOf, type EventName, type TimedEvent } from '../timing/index.js';
import { onSetClock, type Alignment } from './align.js';
import { onFloor, type FloorPlace, type Ground } from './ground.js';
import { markAt } from './mark.js';

/** A clicked foot: the first frame that shows it down, and its place. */
export interface FootClick {
  readonly frame: number;
  readonly foot: Side;
  /** The centre of the sole, px. */
  readonly at: Point;
  /** The toe, px; gives the heading if it was clicked. */
  readonly toe?: Point;
}

/** A foot placement read off film. */
export interface FilmedStep {
  readonly foot: Side;
  /** ms from the cue, with its error. */
  readonly atMs: number;
  readonly sdMs: number;
  readonly at: FloorPlace;
  /** Degrees clockwise from forward; `null` if the toe was not clicked. */
  readonly headingDeg: number | null;
}

/** What is needed to read steps: the floor, the frames, the tie, and the cue on the set's clock, ms. */
export interface StepReading {
  readonly ground: Ground;
  readonly framesMs: readonly number[];
  readonly alignment: Alignment;
  readonly cueMs: number;
}

/** A rep's clicked feet as placements, in the order they landed. */
export function filmedSteps(
  clicks: readonly FootClick[],
  { ground, framesMs, alignment, cueMs }: StepReading,
): FilmedStep[] {
  return clicks
    .map(({ frame, foot, at, toe }) => {
      const { recordingMs, sdMs } = markAt(framesMs, frame, alignment.rate);
      const place = onFloor(ground, at);
      return {
        ...{ foot, sdMs, at: place },
        atMs: Math.round(onSetClock(alignment, recordingMs) - cueMs),
        headingDeg: toe ? Math.round(heading(place, onFloor(ground, toe))) : null,
      };
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/** Fewer steps do not make a leg. */
const FEWEST_STEPS = 2;
/**
 * Defaults for unmarked events: load this long before the action, first move this long before the first landing, ms.
 */
const USUAL_LOAD_MS = 130;
const USUAL_FIRST_SWING_MS = 150;
/** A foot that moves at more than this angle to its heading steps sideways, degrees. */
const SIDEWAYS_DEG = 60;
/** Feet closer than this to crossing count as level, m. */
const CROSSING_M = 0.02;
/** Places are rounded to millimetres. */
const MILLIMETRES = 1000;

/** Index of the step planted at the target: at the marked arrival, or else nearest to the target. */
function loadStep(steps: readonly FilmedStep[], target: Point, arrivalMs: number | null): number {
  const off = ({ atMs, at }: FilmedStep) =>
    arrivalMs === null ? distance(at, target) : Math.abs(atMs - arrivalMs);
  return steps.reduce((best, step, i) => {
    const now = steps[best];
    return now && off(now) <= off(step) ? best : i;
  }, 0);
}

/** The kind of step, from how the foot moved and how it stands relative to the other. */
function kindOfStep(
  phase: PlacementPhase,
  { foot, at }: Pick<Placement, 'foot' | 'at'>,
  headingDeg: number,
  own: Point,
  other: Point,
): StepKind {
  if (phase === 'split') return 'split';
  if (phase === 'load' || phase === 'action') return 'plant';
  const right = headed(headingDeg + 90);
  const aside = dot(minus(at, other), right);
  if (foot === 'left' ? aside > CROSSING_M : aside < -CROSSING_M) return 'crossover';
  return Math.abs(turn(headingDeg, heading(own, at))) > SIDEWAYS_DEG ? 'shuffle' : 'run';
}

const WEIGHTS: Readonly<Record<PlacementPhase, number>> = {
  ...{ split: 0.5, travel: 1, load: 0.7, action: 0.5, recovery: 0.5 },
};

/**
 * A rep's steps on film as a leg of a pattern: a step score with true times and places. Moments that
 * were marked are taken from `events` (ms on one clock with the cue); the others are usual. What film
 * does not tell (intent, notes, names of the ways) is the plan's.
 *
 * @returns a problem with `steps` where there are too few, with `target` where the pattern has none such
 */
export function legOnFilm(
  steps: readonly FilmedStep[],
  pattern: Pattern,
  letter: string,
  events: readonly TimedEvent[] = [],
): Result<Leg> {
  const target = targetOf(pattern, letter)?.at;
  if (!target) return wrong('target', letter, 'a target of the pattern');
  if (steps.length < FEWEST_STEPS)
    return wrong('steps', steps.length, `at least ${FEWEST_STEPS} clicked feet`);
  const cueMs = eventOf(events, 'cue')?.atMs ?? 0;
  const marked = (name: EventName): number | null => {
    const event = eventOf(events, name);
    return event ? Math.round(event.atMs - cueMs) : null;
  };
  const load = loadStep(steps, target, marked('arrival'));
  const actionMs = marked('action') ?? (steps[load]?.atMs ?? 0) + USUAL_LOAD_MS;
  const out = steps.slice(0, load);
  const firstTravel = out.find(
    ({ atMs, at }) => atMs > 0 && distance(at, HOME) > pattern.home.radiusM,
  );
  const firstMoveMs =
    marked('firstMove') ?? Math.max(0, (firstTravel?.atMs ?? 0) - USUAL_FIRST_SWING_MS);
  const phaseAt = (i: number, atMs: number): PlacementPhase =>
    i === load
      ? 'load'
      : i < load
        ? atMs <= firstMoveMs
          ? 'split'
          : 'travel'
        : atMs <= actionMs
          ? 'action'
          : 'recovery';
  const plan = legOf(pattern, letter);
  const { left, right } = pattern.stance;
  const feet: Record<Side, Point> = { left: left.at, right: right.at };
  const placements = steps.map(({ foot, atMs, at: { x, y }, headingDeg }, i): Placement => {
    const at = {
      x: Math.round(MILLIMETRES * x) / MILLIMETRES,
      y: Math.round(MILLIMETRES * y) / MILLIMETRES,
    };
    const phase = phaseAt(i, atMs);
    const facing = headingDeg ?? headingBy(plan, foot, phase, at);
    const other = feet[otherSide(foot)];
    const kind = kindOfStep(phase, { foot, at }, facing, feet[foot], other);
    feet[foot] = at;
    return { foot, at, headingDeg: facing, atMs, phase, kind, weight: WEIGHTS[phase] };
  });
  return ok({
    ...(plan ?? {
      ...{ target: letter, intent: 'attack', travel: 'run forward', load: 'neutral' },
      ...{ recover: 'turn and run', quicken: false },
      notes: { load: NO_NOTES, action: NO_NOTES },
    }),
    ...{ firstMoveMs, actionMs, placements },
    departureMs: Math.max(actionMs, marked('departure') ?? actionMs),
  });
}

/** Heading of a foot whose toe was not clicked: as the nearest such foot in the plan, or else forward. */
function headingBy(plan: Leg | undefined, foot: Side, phase: PlacementPhase, at: Point): number {
  const [nearest] = (plan?.placements ?? [])
    .filter((step) => step.foot === foot && step.phase === phase)
    .sort((a, b) => distance(a.at, at) - distance(b.at, at));
  return nearest?.headingDeg ?? 0;
}
