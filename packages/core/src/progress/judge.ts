import { probabilityAtLeast, quartiles } from '../numeric/index.js';
import { GATED_DURATIONS, type GatedDuration, type Rung } from '../pattern/index.js';
import { fadeOf } from '../stats/index.js';
import {
  catchTrials,
  cuedReps,
  hasNoneOf,
  probabilityUnder,
  SURE,
  verdictOf,
  type Fault,
  type RepReading,
  type Verdict,
} from '../timing/index.js';
import type {
  FalseStartGate,
  HeldGate,
  SetFade,
  SetJudgement,
  SetOutcome,
  SpreadGate,
  TechniqueGate,
  TimeGate,
  ValidRepsGate,
} from './gates.js';

type Limits = readonly (readonly [GatedDuration, number])[];

const limitsOf = (rung: Rung): Limits =>
  GATED_DURATIONS.flatMap((gate) => {
    const limitMs = rung.limitsMs[gate];
    return limitMs === undefined ? [] : [[gate, limitMs] as [GatedDuration, number]];
  });

/** 0.8 of 10 is 8, not 9 for the sake of a rounding error. */
const ROUNDING = 1e-9;

/** Reps of n that make a share. */
const shareOf = (n: number, share: number): number => Math.ceil(n * share - ROUNDING);

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

function validRepsGate(
  valid: readonly RepReading[],
  timed: number,
  limits: Limits,
  needed: number,
): ValidRepsGate {
  const untimed: Partial<Record<GatedDuration, number>> = {};
  for (const [gate] of limits) {
    const lacking = valid.filter(({ durations }) => !durations[gate]).length;
    if (lacking > 0) untimed[gate] = lacking;
  }
  return { gate: 'valid reps', reps: timed, needed, untimed, met: timed >= needed };
}

function falseStartGate(cued: readonly RepReading[], mostShare: number): FalseStartGate {
  const falseStarts = cued.filter(({ leftOut }) => leftOut === 'false start').length;
  const allowed = Math.floor(cued.length * mostShare + ROUNDING);
  return {
    ...{ gate: 'false starts', falseStarts, cuedReps: cued.length, allowed },
    met: falseStarts <= allowed,
  };
}

function techniqueGate(
  cued: readonly RepReading[],
  watched: readonly Fault[],
  leastShare: number,
): TechniqueGate {
  const clean = cued.filter((reading) => hasNoneOf(reading, watched)).length;
  const needed = shareOf(cued.length, leastShare);
  const met = clean >= needed;
  return { gate: 'technique', watched, clean, cuedReps: cued.length, needed, met };
}

function heldGate(readings: readonly RepReading[], leastShare: number): HeldGate | null {
  const { trials, held } = catchTrials(readings);
  const needed = shareOf(trials, leastShare);
  return trials === 0 ? null : { gate: 'catch trials', held, trials, needed, met: held >= needed };
}

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
  const cued = cuedReps(readings);
  const needed = shareOf(timed.length, rung.passShare);
  const judged = limits.map(([gate, limitMs]) => judgeTimes(gate, limitMs, timed, needed));
  const whole = timed.map((reading, rep) =>
    judged.reduce(
      (product, { each }) => product * (each[rep] ?? 0),
      hasNoneOf(reading, watched) ? 1 : 0,
    ),
  );
  const chanceOf = new Map(timed.map((reading, i) => [reading, whole[i] ?? 0]));
  const probability = probabilityAtLeast(whole, needed);
  const gates = {
    validReps: validRepsGate(valid, timed.length, limits, rung.minValidReps),
    falseStarts: falseStartGate(cued, rung.falseStartShare),
    technique: techniqueGate(cued, watched, rung.cleanShare),
    held: heldGate(readings, rung.heldShare),
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
