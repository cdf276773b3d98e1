import type { Random } from '../cue/index.js';
import { normalCdf, normalQuantile } from '../numeric/index.js';
import {
  outcomeOf,
  ratesOf,
  type OutlookSettings,
  type Learner,
  type RuleOutcome,
} from './outlook.js';
import type { StaircaseRule } from './staircase.js';

/** Standard deviation of an athlete's cycle, ms, which determines what a faster pace costs. */
const CYCLE_SD_MS = 150;
/** Number of steps by which a staircase starts easier than its goal. */
const EASIER_STEPS = 3;
/** An arbitrary goal, far above the least pace, ms. */
const WANTED_MS = 10_000;

/** P(pass) at each pace in whole ms, for an athlete whose pass rate at the goal is `rate`. */
function passTable(rate: number): Float64Array {
  const spareMs = CYCLE_SD_MS * normalQuantile(Math.min(0.999, Math.max(0.001, rate)));
  return Float64Array.from({ length: 2 * WANTED_MS }, (_, paceMs) =>
    normalCdf((paceMs - WANTED_MS + spareMs) / CYCLE_SD_MS),
  );
}

/**
 * Simulates one athlete.
 * @returns the number of sets until the staircase says move up, or `null`
 */
type Follower = (rates: Float64Array, settings: OutlookSettings, random: Random) => number | null;

/**
 * The pass rate at the goal gives the athlete's mean time, assuming a normal distribution. Does the same as
 * `playStaircase`, without allocating an object per rep, of which there are millions.
 */
function followStaircase(rule: StaircaseRule): Follower {
  const tables = new Map<number, Float64Array>();
  const { reversals, passesInARow, leastStepMs } = rule;
  const reversed = new Float64Array(reversals);
  return (rates, { repsPerSet, withinSets }, random) => {
    for (let set = 0; set < withinSets; set++) {
      const rate = rates[set] as number;
      let chances = tables.get(rate);
      if (!chances) tables.set(rate, (chances = passTable(rate)));
      let pace = WANTED_MS + EASIER_STEPS * rule.stepMs;
      let { stepMs: step } = rule;
      let row = 0;
      // −1 slower, 1 faster, 0 not moved yet.
      let direction = 0;
      let count = 0;
      let slot = 0;
      let sum = 0;
      reversed.fill(0);
      for (let rep = 0; rep < repsPerSet; rep++) {
        const passed = random() < (chances[(pace + 0.5) | 0] ?? 1);
        row = passed ? row + 1 : 0;
        if (passed && row < passesInARow) continue;
        row = 0;
        const way = passed ? 1 : -1;
        if (direction === -way) {
          sum += pace - (reversed[slot] ?? 0);
          reversed[slot] = pace;
          slot = slot + 1 === reversals ? 0 : slot + 1;
          count++;
          step = Math.max(leastStepMs, step / 2);
        }
        direction = way;
        pace -= way * step;
      }
      if (count >= reversals && sum <= reversals * WANTED_MS) return set + 1;
    }
    return null;
  };
}

/**
 * Follows `athletes` such athletes by a staircase, whose state is a pace, a step and the last reversals:
 * too many to be worked out exactly. Every draw comes from `random`: the same generator gives the
 * same answer. `progress` hears the share done.
 */
export function simulateStaircase(
  rule: StaircaseRule,
  learner: Learner,
  settings: OutlookSettings,
  athletes: number,
  random: Random,
  progress: (share: number) => void = () => undefined,
): RuleOutcome {
  const follow = followStaircase(rule);
  const rates = ratesOf(learner, settings);
  const movedAfter = new Float64Array(settings.withinSets);
  const tellEvery = Math.max(1, Math.floor(athletes / 50));
  for (let athlete = 0; athlete < athletes; athlete++) {
    if (athlete % tellEvery === 0) progress(athlete / athletes);
    const set = follow(rates, settings, random);
    if (set !== null) movedAfter[set - 1] = (movedAfter[set - 1] as number) + 1 / athletes;
  }
  return outcomeOf(movedAfter, rates, settings, athletes);
}
