import type { EventAnchor, GatedDuration } from '../pattern/index.js';
import type { Fault, Verdict } from '../timing/index.js';

/** How often a limit was kept in a set. */
export interface LimitKept {
  /** Reps by verdict; they add up to the reps judged. */
  readonly passes: number;
  readonly fails: number;
  readonly tooClose: number;
  /** Reps that must pass. */
  readonly needed: number;
  /** P(at least `needed` of the reps truly keep the limit). */
  readonly probability: number;
  readonly verdict: Verdict;
  /** How far the `needed`-th best rep is over its limit, ms; 0 or less when it is not. */
  readonly overMs: number;
}

/** Whether the limit of a duration was kept by enough of a set's reps. */
export interface TimeGate extends LimitKept {
  readonly gate: GatedDuration;
  readonly limitMs: number;
  /** The least and largest limit where targets have their own; `limitMs` is the rung's. */
  readonly range: readonly [number, number] | null;
}

/** Whether an event of the coach's own came in time in enough of a set's reps. */
export interface CoachGate extends LimitKept {
  readonly gate: 'coach event';
  readonly event: string;
  readonly from: EventAnchor;
  readonly limitMs: number;
}

/** Starts before the limit after the cue, held against the share allowed. */
export interface FalseStartGate {
  readonly gate: 'false starts';
  readonly falseStarts: number;
  readonly cuedReps: number;
  readonly allowed: number;
  readonly met: boolean;
}

/** Whether there are reps enough to judge. */
export interface ValidRepsGate {
  readonly gate: 'valid reps';
  /** Valid reps in which every limited duration was timed. */
  readonly reps: number;
  readonly needed: number;
  /** Valid reps lacking what is limited, by the name of the duration or the coach's own event. */
  readonly untimed: Readonly<Record<string, number>>;
  readonly met: boolean;
}

/** Reps without a watched fault, held against the share asked for. */
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

/** Catch trials in which the athlete held still. */
export interface HeldGate {
  readonly gate: 'catch trials';
  readonly held: number;
  readonly trials: number;
  readonly needed: number;
  readonly met: boolean;
}

/** Interquartile range over median, held against what is allowed. */
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

/** How a set stands against its rung. */
export const SET_OUTCOMES = ['passed', 'not passed', 'too close to call', 'too few reps'] as const;
export type SetOutcome = (typeof SET_OUTCOMES)[number];

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
  /** Of events of the coach's own; missing where the rung has none. */
  readonly coach?: readonly CoachGate[];
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

/** Share of the cued reps that passed, expected over what is too close to call; NaN of none. */
export const passRate = ({ chances }: Pick<SetJudgement, 'chances'>): number =>
  chances.reduce((sum, chance) => sum + chance, 0) / chances.length;

/** A gate of a rung as a set met it or not; no English, only what was counted. */
export type Gate =
  TimeGate | CoachGate | FalseStartGate | ValidRepsGate | TechniqueGate | HeldGate | SpreadGate;

/** A limit at an arrival itself, or before it, has no share to be over by: it counts as this, ms. */
const LEAST_LIMIT_MS = 100;

/**
 * The gate that holds a set back most; `null` when the set passed. How it was done comes before how
 * fast.
 */
export function limitingGate(judgement: SetJudgement): Gate | null {
  if (judgement.outcome === 'passed') return null;
  const { falseStarts, validReps, technique, held, spread } = judgement;
  const counted = [falseStarts, validReps, technique, held].find((gate) => gate?.met === false);
  if (counted) return counted;
  const overShare = ({ overMs, limitMs }: TimeGate | CoachGate) =>
    overMs / Math.max(limitMs, LEAST_LIMIT_MS);
  const [slowest] = [...judgement.times, ...(judgement.coach ?? [])].sort(
    (a, b) => a.probability - b.probability || overShare(b) - overShare(a),
  );
  return spread?.met === false && (slowest === undefined || slowest.verdict === 'pass')
    ? spread
    : (slowest ?? null);
}
