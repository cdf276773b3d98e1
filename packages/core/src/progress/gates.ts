import type { EventAnchor, GatedDuration } from '../pattern/index.js';
import type { Fault, Verdict } from '../timing/index.js';

/** How often a limit was kept in a set. */
export interface LimitKept {
  /** Reps by verdict; they add up to the reps judged. */
  readonly passes: number;
  readonly fails: number;
  readonly tooClose: number;
  /** Number of reps that must pass. */
  readonly needed: number;
  /** P(at least `needed` of the reps truly keep the limit). */
  readonly probability: number;
  readonly verdict: Verdict;
  /** By how much the `needed`-th best rep exceeds its limit, ms; 0 or less if it does not. */
  readonly overMs: number;
}

/** The gate of a duration's limit. */
export interface TimeGate extends LimitKept {
  readonly gate: GatedDuration;
  readonly limitMs: number;
  /** Least and largest limit if targets have their own; `limitMs` is the rung's. */
  readonly range: readonly [number, number] | null;
}

/** The gate of a limit for an event of the coach's own. */
export interface CoachGate extends LimitKept {
  readonly gate: 'coach event';
  readonly event: string;
  readonly from: EventAnchor;
  readonly limitMs: number;
}

/** The gate of false starts, against the allowed share. */
export interface FalseStartGate {
  readonly gate: 'false starts';
  readonly falseStarts: number;
  readonly cuedReps: number;
  readonly allowed: number;
  readonly met: boolean;
}

/** The gate of valid reps: whether there are enough to judge. */
export interface ValidRepsGate {
  readonly gate: 'valid reps';
  /** Valid reps in which every limited duration was timed. */
  readonly reps: number;
  readonly needed: number;
  /** Number of valid reps in which something limited was not timed, by its name. */
  readonly untimed: Readonly<Record<string, number>>;
  readonly met: boolean;
}

/** The gate of technique: reps without a watched fault, against the share asked for. */
export interface TechniqueGate {
  readonly gate: 'technique';
  /** The watched faults. */
  readonly watched: readonly Fault[];
  /** Cued reps without a watched fault; all of them if none was watched. */
  readonly clean: number;
  readonly cuedReps: number;
  readonly needed: number;
  readonly met: boolean;
}

/** The gate of catch trials in which the athlete stayed. */
export interface HeldGate {
  readonly gate: 'catch trials';
  readonly held: number;
  readonly trials: number;
  readonly needed: number;
  readonly met: boolean;
}

/** The gate of spread: interquartile range over median. */
export interface SpreadGate {
  readonly gate: 'spread';
  /** Interquartile range of the cycle over its median. */
  readonly share: number;
  readonly most: number;
  readonly met: boolean;
}

/** Whether the athlete slowed down during the set. */
export interface SetFade {
  readonly firstThirdMs: number;
  readonly lastThirdMs: number;
  /** Whether the slowing is large and significant, so that a rest is called for. */
  readonly isSteep: boolean;
}

/** How a set can turn out. */
export const SET_OUTCOMES = ['passed', 'not passed', 'too close to call', 'too few reps'] as const;
export type SetOutcome = (typeof SET_OUTCOMES)[number];

/** A set judged by its rung's gates. */
export interface SetJudgement {
  readonly outcome: SetOutcome;
  readonly validReps: ValidRepsGate;
  readonly falseStarts: FalseStartGate;
  readonly technique: TechniqueGate;
  /** `null` if the set had no catch trials. */
  readonly held: HeldGate | null;
  /** `null` if the rung does not limit it, or the cycle was not timed. */
  readonly spread: SpreadGate | null;
  readonly times: readonly TimeGate[];
  /** Gates of the coach's own events; absent if the rung has none. */
  readonly coach?: readonly CoachGate[];
  /** Reps that pass all gates at once: the expected number, and the number needed. */
  readonly together: {
    readonly passes: number;
    readonly needed: number;
    readonly probability: number;
  };
  /**
   * For each cued rep, in order, the probability that it passed every gate that applies to it. False starts, misses
   * and turning short of home do not pass; reps that were not timed are left out.
   */
  readonly chances: readonly number[];
  /** `null` with too few reps. */
  readonly fade: SetFade | null;
}

/** Expected share of cued reps that passed; NaN without any. */
export const passRate = ({ chances }: Pick<SetJudgement, 'chances'>): number =>
  chances.reduce((sum, chance) => sum + chance, 0) / chances.length;

/** A gate of a set, as a code with its figures. */
export type Gate =
  TimeGate | CoachGate | FalseStartGate | ValidRepsGate | TechniqueGate | HeldGate | SpreadGate;

/**
 * The least value a limit counts as when expressing an excess as a share, ms, since a limit relative to arrival may
 * be zero or negative.
 */
const LEAST_LIMIT_MS = 100;

/** The gate that holds a set back most; `null` if the set passed. Technique comes before speed. */
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
