import type { Random } from '../cue/index.js';
import { normalCdf, normalQuantile, quantile } from '../numeric/index.js';
import type { CountRule } from './count-rule.js';
import type { Rule } from './rule.js';
import { boundsOf, evidenceOf, type SequentialRule } from './sequential.js';
import type { StaircaseRule } from './staircase.js';

/** An athlete as far as a rule can see: how often a rep passes, and how that grows. */
export interface Learner {
  /** True pass rate at the first rep, 0–1. */
  readonly passRate: number;
  /**
   * Share of what is missing to `ceiling` that is learnt with each set; 0 for an athlete who stays
   * as they are.
   */
  readonly learning: number;
  readonly ceiling: number;
}

export interface CourseSettings {
  readonly repsPerSet: number;
  /** Reps that make a set passed. */
  readonly passesNeeded: number;
  readonly setsPerDay: number;
  /** The course ends after so many sets. */
  readonly withinSets: number;
  /** Who truly passes less often than this is moved up too soon. */
  readonly readyRate: number;
}

export const USUAL_COURSE: CourseSettings = {
  repsPerSet: 12,
  passesNeeded: 10,
  setsPerDay: 2,
  withinSets: 20,
  readyRate: 0.8,
};

/** Runs one athlete's sets; gives the set after which the rule says move up, or `null`. */
type Follower = (
  rateOf: (set: number) => number,
  settings: CourseSettings,
  random: Random,
) => number | null;

function followCount({ setsNeeded, ofLast, distinctDays }: CountRule): Follower {
  const window = new Uint8Array(ofLast);
  return (rateOf, { repsPerSet, passesNeeded, setsPerDay, withinSets }, random) => {
    window.fill(0);
    let inWindow = 0;
    let days = 0;
    let lastDay = -1;
    for (let set = 0; set < withinSets; set++) {
      const rate = rateOf(set);
      let passes = 0;
      for (let rep = 0; rep < repsPerSet; rep++) if (random() < rate) passes++;
      const passed = passes >= passesNeeded ? 1 : 0;
      const slot = set % ofLast;
      inWindow += passed - (window[slot] ?? 0);
      window[slot] = passed;
      const day = Math.floor(set / setsPerDay);
      if (passed === 1 && day !== lastDay) {
        days++;
        lastDay = day;
      }
      if (inWindow >= setsNeeded && days >= distinctDays) return set + 1;
    }
    return null;
  };
}

function followSequential(rule: SequentialRule): Follower {
  const { upper, lower } = boundsOf(rule);
  const up = evidenceOf(1, rule);
  const down = evidenceOf(0, rule);
  return (rateOf, { repsPerSet, withinSets }, random) => {
    let sum = 0;
    for (let set = 0; set < withinSets; set++) {
      const rate = rateOf(set);
      for (let rep = 0; rep < repsPerSet; rep++) {
        sum += random() < rate ? up : down;
        if (sum >= upper) return set + 1;
        if (sum <= lower) sum = 0;
      }
    }
    return null;
  };
}

/** Reps of one athlete scatter so much about their middle, ms: what a pace a step shorter costs. */
const CYCLE_SD_MS = 150;
/** The staircase starts so many steps easier than what is wanted. */
const EASIER_STEPS = 3;
/** Where the wanted pace is put, so that no pace comes near the least there is, ms. */
const WANTED_MS = 10_000;

/** Chance to pass at each pace of whole ms, for an athlete who passes at the wanted one with `rate`. */
function passTable(rate: number): Float64Array {
  const spareMs = CYCLE_SD_MS * normalQuantile(Math.min(0.999, Math.max(0.001, rate)));
  return Float64Array.from({ length: 2 * WANTED_MS }, (_, paceMs) =>
    normalCdf((paceMs - WANTED_MS + spareMs) / CYCLE_SD_MS),
  );
}

/**
 * A pass rate at the wanted pace says how far the athlete's times lie from it, when they scatter
 * normally. Plays what `playStaircase` does, without an object a rep: there are millions of them.
 */
function followStaircase(rule: StaircaseRule): Follower {
  const tables = new Map<number, Float64Array>();
  const { reversals, passesInARow, leastStepMs } = rule;
  const turns = new Float64Array(reversals);
  return (rateOf, { repsPerSet, withinSets }, random) => {
    for (let set = 0; set < withinSets; set++) {
      const rate = rateOf(set);
      let chances = tables.get(rate);
      if (!chances) tables.set(rate, (chances = passTable(rate)));
      let pace = WANTED_MS + EASIER_STEPS * rule.stepMs;
      let { stepMs: step } = rule;
      let row = 0;
      // −1 slower, 1 quicker, 0 not moved yet.
      let direction = 0;
      let turned = 0;
      let slot = 0;
      let sum = 0;
      turns.fill(0);
      for (let rep = 0; rep < repsPerSet; rep++) {
        const passed = random() < (chances[(pace + 0.5) | 0] ?? 1);
        row = passed ? row + 1 : 0;
        if (passed && row < passesInARow) continue;
        row = 0;
        const way = passed ? 1 : -1;
        if (direction === -way) {
          sum += pace - (turns[slot] ?? 0);
          turns[slot] = pace;
          slot = slot + 1 === reversals ? 0 : slot + 1;
          turned++;
          step = Math.max(leastStepMs, step / 2);
        }
        direction = way;
        pace -= way * step;
      }
      if (turned >= reversals && sum <= reversals * WANTED_MS) return set + 1;
    }
    return null;
  };
}

const followerOf = (rule: Rule): Follower =>
  rule.kind === 'count'
    ? followCount(rule)
    : rule.kind === 'sequential'
      ? followSequential(rule)
      : followStaircase(rule);

export interface RuleOutcome {
  readonly athletes: number;
  /** Shares of the athletes, 0–1: moved up; moved up while not ready; ready in the end, yet not moved. */
  readonly moved: number;
  readonly tooSoon: number;
  readonly heldBack: number;
  /** Standard error of `moved`. */
  readonly se: number;
  /** Sets run by those moved up: lower quartile, median, upper quartile; `null` when nobody was. */
  readonly setsToMove: readonly [number, number, number] | null;
  /** Sets run by all, stopping at the move. */
  readonly meanSets: number;
}

/**
 * Follows `athletes` such athletes by a rule. Every draw comes from `random`: the same generator
 * gives the same answer. `progress` hears the share done.
 */
export function simulateRule(
  rule: Rule,
  learner: Learner,
  settings: CourseSettings,
  athletes: number,
  random: Random,
  progress: (share: number) => void = () => undefined,
): RuleOutcome {
  const follow = followerOf(rule);
  const rates = Float64Array.from({ length: settings.withinSets + 1 }, (_, set) => {
    const missing = learner.ceiling - learner.passRate;
    return missing > 0
      ? learner.ceiling - missing * (1 - learner.learning) ** set
      : learner.passRate;
  });
  const rateOf = (set: number) => rates[set] ?? learner.passRate;
  const sets: number[] = [];
  let tooSoon = 0;
  let heldBack = 0;
  let run = 0;
  const tellEvery = Math.max(1, Math.floor(athletes / 50));
  for (let athlete = 0; athlete < athletes; athlete++) {
    if (athlete % tellEvery === 0) progress(athlete / athletes);
    const movedAt = follow(rateOf, settings, random);
    run += movedAt ?? settings.withinSets;
    if (movedAt !== null) {
      sets.push(movedAt);
      if (rateOf(movedAt - 1) < settings.readyRate) tooSoon++;
    } else if (rateOf(settings.withinSets - 1) >= settings.readyRate) heldBack++;
  }
  const moved = sets.length / athletes;
  return {
    athletes,
    moved,
    tooSoon: tooSoon / athletes,
    heldBack: heldBack / athletes,
    se: Math.sqrt((moved * (1 - moved)) / athletes),
    setsToMove:
      sets.length === 0
        ? null
        : ([0.25, 0.5, 0.75].map((p) => quantile(sets, p)) as [number, number, number]),
    meanSets: run / athletes,
  };
}
