import { distance, HOME, SIDES, type Target } from '../floor/index.js';
import {
  NO_NOTES,
  standingAfter,
  type Leg,
  type LegPlan,
  type Pattern,
  type Placement,
  type Standing,
} from '../pattern/index.js';
import { layBack } from './back.js';
import { outsideOf } from './load.js';
import { layOut } from './out.js';
import { landingTimes, TOE_OUT_DEG, type Landing } from './way.js';

/** What feet are laid on. */
export type Floor = Pick<Pattern, 'stance' | 'splitWindowMs' | 'hand' | 'laidFor'>;

/** Feet apart in the stance, as a multiple of the shoulder width. */
const STANCE_BASE = 1.4;
/** From planting to acting, and from acting to pushing off, ms. */
const LOAD_MS = 130;
const ACTION_MS = 70;
/** A step in takes this long after the plant, ms. */
const STEP_IN_MS = 170;
/** Where in its window the split lands. */
const SPLIT_SHARE = 0.4;

/** Ready at home base for an athlete of these shoulders: wide, even, toes a little out. */
export function readyStance(shoulderM: number): Standing {
  const half = (STANCE_BASE * shoulderM) / 2;
  return {
    left: { at: { x: -half, y: 0 }, headingDeg: -TOE_OUT_DEG },
    right: { at: { x: half, y: 0 }, headingDeg: TOE_OUT_DEG },
    leftWeight: 0.5,
  };
}

function splitPlacements({ stance, splitWindowMs: [from, to] }: Floor): Placement[] {
  const atMs = Math.round(from + (to - from) * SPLIT_SHARE);
  return SIDES.map((foot) => ({
    foot,
    ...stance[foot],
    ...({ atMs, phase: 'split', kind: 'split', weight: 0.5 } as const),
  }));
}

/**
 * The leg to a target, laid from how it is to be danced: split in its window, steps from distance
 * and stride, the load on the leg that belongs there, and the way home into the stance; timed by
 * the travel model. What was written about its positions is kept from `before`.
 */
export function layLeg(floor: Floor, target: Target, plan: LegPlan, before?: Leg): Leg {
  const { stance, laidFor, hand } = floor;
  const split = splitPlacements(floor);
  const firstMoveMs = Math.max(laidFor.reactionMs, split[0]?.atMs ?? 0);

  const { landings, stepIn } = layOut(target, plan, floor);
  const times = landingTimes(stance, landings, laidFor, plan.quicken);
  const timed = (falls: Landing, ms: number): Placement[] =>
    falls.map((fall) => ({ ...fall, atMs: Math.round(firstMoveMs + ms) }));
  const outPlacements = [
    ...split,
    ...landings.flatMap((landing, i) => timed(landing, times[i] ?? 0)),
    ...timed(stepIn, (times.at(-1) ?? 0) + STEP_IN_MS),
  ];

  const loaded = outPlacements.at(-1)?.atMs ?? firstMoveMs;
  const actionMs = loaded + LOAD_MS;
  const departureMs = actionMs + ACTION_MS;
  const standing = standingAfter(stance, outPlacements);
  const back = layBack(standing, plan.recover, outsideOf(target.at, hand), floor);
  const backTimes = landingTimes(
    standing,
    back.map((fall) => [fall]),
    laidFor,
    false,
  );
  return {
    ...{ ...plan, target: target.letter, firstMoveMs, actionMs, departureMs },
    placements: [
      ...outPlacements,
      ...back.map((fall, i) => ({ ...fall, atMs: Math.round(departureMs + (backTimes[i] ?? 0)) })),
    ],
    notes: before?.notes ?? { load: NO_NOTES, action: NO_NOTES },
  };
}

/** A wide target nearer than this is shuffled to, metres. */
const SHUFFLE_WITHIN_M = 1.6;

/** How a leg is danced unless the coach says otherwise: by where its target is. */
export function usualPlan({ letter, kind, at }: Target): LegPlan {
  const common = { target: letter, quicken: false } as const;
  switch (kind) {
    case 'short':
      return { ...common, intent: 'attack', travel: 'lunge', load: 'open', recover: 'backpedal' };
    case 'deep':
      return {
        ...common,
        ...{ intent: 'defend', travel: 'drop-step and run back' },
        ...{ load: 'semi-open', recover: 'turn and run' },
      } as const;
    case 'wide':
      return distance(HOME, at) < SHUFFLE_WITHIN_M
        ? ({
            ...{ ...common, intent: 'defend', travel: 'shuffle out' },
            ...{ load: 'open', recover: 'shuffle back' },
          } as const)
        : ({
            ...{ ...common, intent: 'defend', travel: 'crossover out' },
            ...{ load: 'open', recover: 'crossover then shuffle' },
          } as const);
    case 'centre':
      return {
        ...common,
        ...{ intent: 'attack', travel: 'run forward', load: 'neutral', recover: 'backpedal' },
      } as const;
  }
}
