import { ok, wrong, type Result } from '../result/index.js';
import { shuffled, uniform, type Random } from './random.js';

/** One cue to come. */
export interface Cue {
  /** Counts from 1. */
  readonly ordinal: number;
  /** The target's letter. */
  readonly target: string;
  /** From ready (or home) to the cue. */
  readonly foreperiodMs: number;
}

export interface ScheduleSettings {
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
  readonly reps: number;
  /** Most cues in a row for one target. */
  readonly maxRun: number;
  /** Shortest and longest foreperiod. */
  readonly foreperiodMs: readonly [number, number];
}

export const MAX_REPS = 200;

function settingsProblem(settings: ScheduleSettings): Result<never> | null {
  const { targets, reps, maxRun, foreperiodMs } = settings;
  if (targets.length === 0) return wrong('targets', targets, 'at least one target');
  if (new Set(targets).size < targets.length) return wrong('targets', targets, 'each target once');
  if (!Number.isInteger(reps) || reps < 1 || reps > MAX_REPS)
    return wrong('reps', reps, `a whole number from 1 to ${MAX_REPS}`);
  if (!Number.isInteger(maxRun) || maxRun < 1) return wrong('maxRun', maxRun, '1 or more');
  if (targets.length === 1 && reps > maxRun)
    return wrong('maxRun', maxRun, `at least ${reps} when only one target is in play`);
  if (!(foreperiodMs[0] >= 0 && foreperiodMs[1] >= foreperiodMs[0]))
    return wrong(
      'foreperiodMs',
      foreperiodMs,
      'a shortest of 0 or more and a longest not below it',
    );
  return null;
}

/** How many cues at the end of the list are for its last target. */
function runAtEnd(letters: readonly string[]): number {
  const last = letters.at(-1);
  let run = 0;
  while (run < letters.length && letters[letters.length - 1 - run] === last) run++;
  return run;
}

/**
 * A `shuffled` schedule: each block holds every target once, in random order, with no more than
 * `maxRun` of one target in a row, and foreperiods uniform between their bounds, in whole ms.
 * The same settings and seed give the same schedule.
 */
export function shuffledSchedule(settings: ScheduleSettings, random: Random): Result<Cue[]> {
  const problem = settingsProblem(settings);
  if (problem) return problem;
  const { targets, reps, maxRun, foreperiodMs } = settings;
  const letters: string[] = [];
  while (letters.length < reps) {
    const block = shuffled(targets, random);
    // A run can only grow where two blocks meet; the swap keeps every target once in the block.
    if (block[0] === letters.at(-1) && runAtEnd(letters) >= maxRun) {
      const other = 1 + Math.floor(random() * (block.length - 1));
      [block[0], block[other]] = [block[other] as string, block[0] as string];
    }
    letters.push(...block);
  }
  return ok(
    letters.slice(0, reps).map((target, i) => ({
      ordinal: i + 1,
      target,
      foreperiodMs: Math.round(uniform(random, ...foreperiodMs)),
    })),
  );
}
