import { STAIRCASE_LIMITS, type Pace, type StaircaseSteps } from '../drill/index.js';
import { mean } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { cuedReps, probabilityUnder, type RepReading } from '../timing/index.js';

/**
 * The pace of a set that moves by itself: quicker after `passesInARow` passes, slower after one
 * fail. With three passes it settles where 0.5^(1/3) = 79 % of reps pass (Levitt 1971).
 */
export interface StaircaseRule extends StaircaseSteps {
  readonly kind: 'staircase';
}

/** Quicker after three in a row, easier after one fail; settles near 79 % (Levitt 1971). */
export const USUAL_STAIRCASE_RULE: StaircaseRule = {
  kind: 'staircase',
  passesInARow: 3,
  stepMs: 200,
  leastStepMs: 25,
  reversals: 6,
};

const isWithin = (value: number, [least, most]: readonly [number, number]): boolean =>
  value >= least && value <= most;

/** The rule, or the setting that is out of bounds. */
export function checkStaircase(rule: StaircaseRule): Result<StaircaseRule> {
  const { passesInARow, stepMs, leastStepMs, reversals } = rule;
  const { passesInARow: passes, stepMs: steps, reversals: turns } = STAIRCASE_LIMITS;
  if (!(Number.isInteger(passesInARow) && isWithin(passesInARow, passes)))
    return wrong('passesInARow', passesInARow, `${passes[0]} to ${passes[1]}`);
  if (!isWithin(stepMs, steps)) return wrong('stepMs', stepMs, `${steps[0]} to ${steps[1]}`);
  if (!isWithin(leastStepMs, [steps[0], stepMs]))
    return wrong('leastStepMs', leastStepMs, `${steps[0]} to the first step, ${stepMs}`);
  if (!(Number.isInteger(reversals) && isWithin(reversals, turns)))
    return wrong('reversals', reversals, `${turns[0]} to ${turns[1]}`);
  return ok(rule);
}

/** A staircase's state. */
export interface Staircase {
  /** Time allowed for the next rep, ms. */
  readonly paceMs: number;
  readonly stepMs: number;
  /** Passes since the last change of pace. */
  readonly row: number;
  readonly direction: 'quicker' | 'slower' | null;
  /** Paces at which the direction reversed, ms. */
  readonly reversalsMs: readonly number[];
}

/** A staircase at its first pace, ms. */
export const startStaircase = (startMs: number, { stepMs }: StaircaseSteps): Staircase => ({
  paceMs: startMs,
  stepMs,
  row: 0,
  direction: null,
  reversalsMs: [],
});

/** No rep can be faster than this, ms. */
const LEAST_PACE_MS = 300;

/** The state after a rep. */
export function stepStaircase(from: Staircase, passed: boolean, rule: StaircaseSteps): Staircase {
  if (passed && from.row + 1 < rule.passesInARow) return { ...from, row: from.row + 1 };
  const direction = passed ? 'quicker' : 'slower';
  const hasReversed = from.direction !== null && from.direction !== direction;
  const stepMs = hasReversed ? Math.max(rule.leastStepMs, from.stepMs / 2) : from.stepMs;
  return {
    paceMs: Math.max(LEAST_PACE_MS, from.paceMs + (passed ? -stepMs : stepMs)),
    stepMs,
    row: 0,
    direction,
    reversalsMs: hasReversed ? [...from.reversalsMs, from.paceMs] : from.reversalsMs,
  };
}

/** A staircase set: the pace of each rep, and the result. */
export interface StaircaseReading {
  readonly pacesMs: readonly number[];
  /** The pace of the next rep. */
  readonly nextMs: number;
  /** Passes since the last change of pace. */
  readonly row: number;
  readonly reversalsMs: readonly number[];
  /** Mean of the last reversals, ms; `null` if there are too few. */
  readonly thresholdMs: number | null;
  readonly needed: number;
}

/**
 * Plays a set through.
 * @param passes whether rep i passed at its pace
 */
export function playStaircase(
  reps: number,
  startMs: number,
  rule: StaircaseSteps,
  passes: (rep: number, paceMs: number) => boolean,
): StaircaseReading {
  const pacesMs: number[] = [];
  let state = startStaircase(startMs, rule);
  for (let rep = 0; rep < reps; rep++) {
    pacesMs.push(state.paceMs);
    state = stepStaircase(state, passes(rep, state.paceMs), rule);
  }
  const { reversalsMs, row, paceMs: nextMs } = state;
  return {
    ...{ pacesMs, nextMs, row, reversalsMs, needed: rule.reversals },
    thresholdMs:
      reversalsMs.length >= rule.reversals ? mean(reversalsMs.slice(-rule.reversals)) : null,
  };
}

/** A rep passed if that is more likely than not. */
const MORE_LIKELY_THAN_NOT = 0.5;

const isInTime = ({ durations, leftOut }: RepReading, paceMs: number): boolean =>
  leftOut === null &&
  durations.cycle !== undefined &&
  probabilityUnder(durations.cycle, paceMs) >= MORE_LIKELY_THAN_NOT;

/** A set read as a staircase; `null` if its pace was another kind. */
export function readStaircase(
  readings: readonly RepReading[],
  { kind, everyMs, steps }: Pace,
): StaircaseReading | null {
  if (kind !== 'staircase' || everyMs === null || !steps) return null;
  const reps = cuedReps(readings);
  return playStaircase(reps.length, everyMs, steps, (i, paceMs) => {
    const reading = reps[i];
    return reading !== undefined && isInTime(reading, paceMs);
  });
}
