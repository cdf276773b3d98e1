import { probabilityAtLeast } from '../numeric/index.js';
import { GATED_DURATIONS, type GatedDuration, type Rung } from '../pattern/index.js';
import {
  probabilityUnder,
  SURE,
  verdictOf,
  type RepReading,
  type Verdict,
} from '../timing/index.js';

/** Whether a limit was kept by enough of a set's reps. */
export interface TimeGate {
  readonly gate: GatedDuration;
  readonly limitMs: number;
  /** Reps by verdict; they add up to the reps judged. */
  readonly passes: number;
  readonly fails: number;
  readonly tooClose: number;
  /** Reps that must pass. */
  readonly needed: number;
  /** P(at least `needed` of the reps truly keep the limit). */
  readonly probability: number;
  readonly verdict: Verdict;
  /** How far the `needed`-th fastest rep is over the limit, ms; 0 or less when it is not. */
  readonly overMs: number;
}

export interface FalseStartGate {
  readonly gate: 'false starts';
  readonly falseStarts: number;
  readonly cuedReps: number;
  readonly allowed: number;
  readonly met: boolean;
}

export interface ValidRepsGate {
  readonly gate: 'valid reps';
  /** Valid reps in which every limited duration was timed. */
  readonly reps: number;
  readonly needed: number;
  /** Valid reps lacking a limited duration, by which one. */
  readonly untimed: Readonly<Partial<Record<GatedDuration, number>>>;
  readonly met: boolean;
}

export type SetOutcome = 'passed' | 'not passed' | 'too close to call' | 'too few reps';

/** A set held against the gates of its rung. */
export interface SetJudgement {
  readonly outcome: SetOutcome;
  readonly validReps: ValidRepsGate;
  readonly falseStarts: FalseStartGate;
  readonly times: readonly TimeGate[];
  /** Reps that pass every limit at once: how many are surely so, and how many must be. */
  readonly together: {
    readonly passes: number;
    readonly needed: number;
    readonly probability: number;
  };
}

const limitsOf = (rung: Rung): [GatedDuration, number][] =>
  GATED_DURATIONS.flatMap((gate) => {
    const limitMs = rung.limitsMs[gate];
    return limitMs === undefined ? [] : [[gate, limitMs] as [GatedDuration, number]];
  });

/** Reps of n that make a share; 0.8 of 10 is 8, not 9 for the sake of a rounding error. */
const shareOf = (n: number, share: number): number => Math.ceil(n * share - 1e-9);

function judgeTimes(
  gate: GatedDuration,
  limitMs: number,
  readings: readonly RepReading[],
  needed: number,
): { readonly gate: TimeGate; readonly each: readonly number[] } {
  const measured = readings.flatMap(({ durations }) => durations[gate] ?? []);
  const each = measured.map((duration) => probabilityUnder(duration, limitMs));
  const verdicts = each.map(verdictOf);
  const count = (verdict: Verdict) => verdicts.filter((v) => v === verdict).length;
  const fastest = measured.map(({ ms }) => ms).sort((a, b) => a - b);
  const probability = probabilityAtLeast(each, needed);
  return {
    each,
    gate: {
      gate,
      limitMs,
      passes: count('pass'),
      fails: count('fail'),
      tooClose: count('too close to call'),
      needed,
      probability,
      verdict: verdictOf(probability),
      overMs: (fastest[needed - 1] ?? NaN) - limitMs,
    },
  };
}

/**
 * Holds a set against its rung. With exact times this is plain counting. With timing error each
 * rep keeps each limit with some probability; the set has passed when the chance that enough reps
 * kept all of them is at least 0.95, and has not when it is at most 0.05. The gates of one rep
 * are taken as independent.
 */
export function judgeSet(readings: readonly RepReading[], rung: Rung): SetJudgement {
  const limits = limitsOf(rung);
  const valid = readings.filter(({ leftOut }) => leftOut === null);
  const timed = valid.filter(({ durations }) => limits.every(([gate]) => durations[gate]));
  const untimed: Partial<Record<GatedDuration, number>> = {};
  for (const [gate] of limits) {
    const lacking = valid.filter(({ durations }) => !durations[gate]).length;
    if (lacking > 0) untimed[gate] = lacking;
  }
  const validReps: ValidRepsGate = {
    gate: 'valid reps',
    reps: timed.length,
    needed: rung.minValidReps,
    untimed,
    met: timed.length >= rung.minValidReps,
  };

  const cued = readings.filter(
    ({ leftOut, trial }) => leftOut !== 'struck out' && trial === 'plain',
  );
  const early = cued.filter(({ leftOut }) => leftOut === 'false start').length;
  const allowed = Math.floor(cued.length * rung.falseStartShare + 1e-9);
  const falseStarts: FalseStartGate = {
    gate: 'false starts',
    falseStarts: early,
    cuedReps: cued.length,
    allowed,
    met: early <= allowed,
  };

  const needed = shareOf(timed.length, rung.passShare);
  const judged = limits.map(([gate, limitMs]) => judgeTimes(gate, limitMs, timed, needed));
  const whole = timed.map((_, rep) =>
    judged.reduce((product, { each }) => product * (each[rep] ?? 0), 1),
  );
  const probability = probabilityAtLeast(whole, needed);
  return {
    outcome: outcomeOf(validReps, falseStarts, probability),
    validReps,
    falseStarts,
    times: judged.map((limit) => limit.gate),
    together: { passes: whole.filter((p) => p >= SURE).length, needed, probability },
  };
}

function outcomeOf(
  validReps: ValidRepsGate,
  falseStarts: FalseStartGate,
  probability: number,
): SetOutcome {
  // Going early is shown by the reps themselves: it needs no other reps to be believed.
  if (!falseStarts.met) return 'not passed';
  if (!validReps.met) return 'too few reps';
  const verdict = verdictOf(probability);
  return verdict === 'pass' ? 'passed' : verdict === 'fail' ? 'not passed' : verdict;
}

export type Gate = TimeGate | FalseStartGate | ValidRepsGate;

/** The gate that holds a set back most; `null` when the set passed. */
export function limitingGate(judgement: SetJudgement): Gate | null {
  if (judgement.outcome === 'passed') return null;
  if (!judgement.falseStarts.met) return judgement.falseStarts;
  if (!judgement.validReps.met) return judgement.validReps;
  const overShare = ({ overMs, limitMs }: TimeGate) => overMs / limitMs;
  return (
    [...judgement.times].sort(
      (a, b) => a.probability - b.probability || overShare(b) - overShare(a),
    )[0] ?? null
  );
}
