import { probabilityAtLeast, quartiles } from '../numeric/index.js';
import { GATED_DURATIONS, type GatedDuration, type Rung } from '../pattern/index.js';
import { fadeOf } from '../stats/index.js';
import {
  probabilityUnder,
  SURE,
  verdictOf,
  type Fault,
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

export interface TechniqueGate {
  readonly gate: 'technique';
  /** The faults somebody watched for. */
  readonly watched: readonly Fault[];
  /** Cued reps with none of the faults watched for; all of them where nobody watched. */
  readonly clean: number;
  readonly cuedReps: number;
  readonly needed: number;
  readonly met: boolean;
}

export interface HeldGate {
  readonly gate: 'catch trials';
  readonly held: number;
  readonly trials: number;
  readonly needed: number;
  readonly met: boolean;
}

export interface SpreadGate {
  readonly gate: 'spread';
  /** Interquartile range of the cycle over its median. */
  readonly share: number;
  readonly most: number;
  readonly met: boolean;
}

/** Whether the athlete grew slower over the set. */
export interface SetFade {
  readonly firstThirdMs: number;
  readonly lastThirdMs: number;
  /** So much slower, beyond chance, that rest is called for. */
  readonly isSteep: boolean;
}

export type SetOutcome = 'passed' | 'not passed' | 'too close to call' | 'too few reps';

/** A set held against the gates of its rung. */
export interface SetJudgement {
  readonly outcome: SetOutcome;
  readonly validReps: ValidRepsGate;
  readonly falseStarts: FalseStartGate;
  readonly technique: TechniqueGate;
  /** `null` where the set had no catch trials. */
  readonly held: HeldGate | null;
  /** `null` where the rung does not ask for it, or the cycle was not timed. */
  readonly spread: SpreadGate | null;
  readonly times: readonly TimeGate[];
  /** Reps that pass every gate at once: how many are surely so, and how many must be. */
  readonly together: {
    readonly passes: number;
    readonly needed: number;
    readonly probability: number;
  };
  /**
   * Chance that each cued rep passed every gate that applies to it, in order. Going early, missing
   * the cue and turning short of home are no passes; reps that were not timed are not among them.
   */
  readonly chances: readonly number[];
  /** `null` with too few reps to tell. */
  readonly fade: SetFade | null;
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

const shareMet = (part: number, of: number, share: number): boolean => part >= shareOf(of, share);

function spreadGate(timed: readonly RepReading[], most: number | null): SpreadGate | null {
  const cycles = timed.flatMap(({ durations }) => durations.cycle?.ms ?? []);
  if (most === null || cycles.length === 0) return null;
  const [low, middle, high] = quartiles(cycles);
  const share = (high - low) / middle;
  return { gate: 'spread', share, most, met: share <= most };
}

/** The last third of a set this much slower than the first is a steep fade. */
const STEEP_SHARE = 0.1;

function fadeOfSet(readings: readonly RepReading[]): SetFade | null {
  const fade = fadeOf(readings, 'cycle') ?? fadeOf(readings, 'response');
  if (!fade) return null;
  const { firstThirdMs, lastThirdMs, isFading } = fade;
  return {
    ...{ firstThirdMs, lastThirdMs },
    isSteep: isFading && lastThirdMs / firstThirdMs - 1 >= STEEP_SHARE,
  };
}

const hasNone = ({ faults }: RepReading, watched: readonly Fault[]): boolean =>
  !faults.some((fault) => watched.includes(fault));

/**
 * Holds a set against its rung. With exact times this is plain counting. With timing error each
 * rep keeps each limit with some probability; the set has passed when the chance that enough reps
 * kept all of them, without a fault that was looked for, is at least 0.95, and has not when it is at
 * most 0.05. The gates of one rep are taken as independent. `watched` are the faults that were
 * looked for: others, and faults that nobody watched for, hold nobody back.
 */
export function judgeSet(
  readings: readonly RepReading[],
  rung: Rung,
  watched: readonly Fault[] = [],
): SetJudgement {
  const limits = limitsOf(rung);
  const valid = readings.filter(({ leftOut }) => leftOut === null);
  const isTimed = ({ durations }: RepReading) => limits.every(([gate]) => durations[gate]);
  const timed = valid.filter(isTimed);
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

  const clean = cued.filter((reading) => hasNone(reading, watched)).length;
  const technique: TechniqueGate = {
    ...{ gate: 'technique', watched, clean, cuedReps: cued.length },
    needed: shareOf(cued.length, rung.cleanShare),
    met: shareMet(clean, cued.length, rung.cleanShare),
  };
  const catches = readings.filter(({ trial, rep }) => trial === 'catch' && !rep.struckOut);
  const heldCount = catches.filter(
    ({ faults }) => !faults.includes('moved on a catch trial'),
  ).length;
  const held: HeldGate | null =
    catches.length === 0
      ? null
      : {
          ...{ gate: 'catch trials', held: heldCount, trials: catches.length },
          needed: shareOf(catches.length, rung.heldShare),
          met: shareMet(heldCount, catches.length, rung.heldShare),
        };

  const needed = shareOf(timed.length, rung.passShare);
  const judged = limits.map(([gate, limitMs]) => judgeTimes(gate, limitMs, timed, needed));
  const whole = timed.map((reading, rep) =>
    judged.reduce(
      (product, { each }) => product * (each[rep] ?? 0),
      hasNone(reading, watched) ? 1 : 0,
    ),
  );
  const chanceOf = new Map(timed.map((reading, i) => [reading, whole[i] ?? 0]));
  const probability = probabilityAtLeast(whole, needed);
  const gates = {
    ...{ validReps, falseStarts, technique, held },
    spread: spreadGate(timed, rung.mostSpread),
  };
  return {
    outcome: outcomeOf(gates, probability),
    ...gates,
    times: judged.map((limit) => limit.gate),
    together: { passes: whole.filter((p) => p >= SURE).length, needed, probability },
    chances: cued.flatMap((reading) =>
      reading.leftOut === null ? (chanceOf.get(reading) ?? []) : 0,
    ),
    fade: fadeOfSet(readings),
  };
}

type CountedGates = Pick<
  SetJudgement,
  'validReps' | 'falseStarts' | 'technique' | 'held' | 'spread'
>;

function outcomeOf(
  { validReps, falseStarts, technique, held, spread }: CountedGates,
  probability: number,
): SetOutcome {
  // Going early is shown by the reps themselves: it needs no other reps to be believed.
  if (!falseStarts.met) return 'not passed';
  if (!validReps.met) return 'too few reps';
  if (!technique.met || held?.met === false || spread?.met === false) return 'not passed';
  const verdict = verdictOf(probability);
  return verdict === 'pass' ? 'passed' : verdict === 'fail' ? 'not passed' : verdict;
}

/** Share of the cued reps that passed, expected over what is too close to call; NaN of none. */
export const passRate = ({ chances }: Pick<SetJudgement, 'chances'>): number =>
  chances.reduce((sum, chance) => sum + chance, 0) / chances.length;

export type Gate =
  TimeGate | FalseStartGate | ValidRepsGate | TechniqueGate | HeldGate | SpreadGate;

/**
 * The gate that holds a set back most; `null` when the set passed. How it was done comes before how
 * fast.
 */
export function limitingGate(judgement: SetJudgement): Gate | null {
  if (judgement.outcome === 'passed') return null;
  const { falseStarts, validReps, technique, held, spread } = judgement;
  const counted = [falseStarts, validReps, technique, held].find((gate) => gate?.met === false);
  if (counted) return counted;
  const overShare = ({ overMs, limitMs }: TimeGate) => overMs / limitMs;
  const [slowest] = [...judgement.times].sort(
    (a, b) => a.probability - b.probability || overShare(b) - overShare(a),
  );
  return spread?.met === false && (slowest === undefined || slowest.verdict === 'pass')
    ? spread
    : (slowest ?? null);
}
