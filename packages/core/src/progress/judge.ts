import { probabilityAtLeast, quartiles } from '../numeric/index.js';
import {
  GATED_DURATIONS,
  limitAt,
  limitRange,
  type GatedDuration,
  type CoachLimit,
  type Rung,
} from '../pattern/index.js';
import { fadeOf } from '../stats/index.js';
import {
  catchTrials,
  cuedReps,
  hasNoneOf,
  coachDuration,
  probabilityUnder,
  SURE,
  verdictOf,
  type Duration,
  type Fault,
  type RepReading,
  type Verdict,
} from '../timing/index.js';
import type {
  FalseStartGate,
  HeldGate,
  LimitKept,
  CoachGate,
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

/** So that 0.8 of 10 is 8, and not 9 because of a rounding error. */
const ROUNDING = 1e-9;

/** The number of reps out of n that make a share. */
const shareOf = (n: number, share: number): number => Math.ceil(n * share - ROUNDING);

/** A rep's verdict on one limit. */
export interface RepVerdict {
  readonly limitMs: number;
  /** P(the limit was kept). */
  readonly probability: number;
  readonly verdict: Verdict;
}
/** A rep's verdicts on all limits of its rung that it was timed for. */
export type RepVerdicts = Readonly<Partial<Record<GatedDuration, RepVerdict>>>;

/** A rung's limits for judging a rep. */
type AgainstLimits = Pick<Rung, 'limitsMs' | 'targetLimits'>;

function verdictOn(duration: Duration, limitMs: number): RepVerdict {
  const probability = probabilityUnder(duration, limitMs);
  return { limitMs, probability, verdict: verdictOf(probability) };
}

function verdictAt(
  { rep, durations }: Pick<RepReading, 'rep' | 'durations'>,
  rung: AgainstLimits,
  gate: GatedDuration,
): RepVerdict | null {
  const [duration, limitMs] = [durations[gate], limitAt(rung, gate, rep.target)];
  return duration && limitMs !== undefined ? verdictOn(duration, limitMs) : null;
}

/**
 * Judges a rep by its rung's limits, or its target's own. Everything that judges reps uses this. A rep that does not
 * count is not judged.
 */
export function judgeRep(reading: RepReading, rung: AgainstLimits): RepVerdicts {
  const verdicts: Partial<Record<GatedDuration, RepVerdict>> = {};
  if (reading.leftOut) return verdicts;
  for (const gate of GATED_DURATIONS) {
    const verdict = verdictAt(reading, rung, gate);
    if (verdict) verdicts[gate] = verdict;
  }
  return verdicts;
}

/** Something that a rung limits. */
interface Limited<Head> {
  /** Name of the duration, or of the coach's own event. */
  readonly name: string;
  /** The fields of its gate besides the counts. */
  readonly head: Head;
  readonly timeOf: (reading: RepReading) => Duration | null;
  readonly limitOf: (reading: RepReading) => number;
}

type TimeHead = Pick<TimeGate, 'gate' | 'limitMs' | 'range'>;
type CoachHead = Pick<CoachGate, 'gate' | 'limitMs' | 'event' | 'from'>;

/** A rung's limit for a duration, including target limits. */
const durationLimited = (rung: Rung, gate: GatedDuration, limitMs: number): Limited<TimeHead> => ({
  name: gate,
  head: { gate, limitMs, range: limitRange(rung, gate) },
  timeOf: ({ durations }) => durations[gate] ?? null,
  limitOf: ({ rep }) => limitAt(rung, gate, rep.target) ?? limitMs,
});

const coachLimited = (limit: CoachLimit): Limited<CoachHead> => ({
  name: limit.event,
  head: { gate: 'coach event', ...limit },
  timeOf: ({ rep }) =>
    coachDuration(rep.events, rep.marks?.coachEvents ?? [], limit.event, limit.from),
  limitOf: () => limit.limitMs,
});

/** A limit's gate, and each rep's probability of having kept it. */
function judgeLimited<Head>(
  { head, timeOf, limitOf }: Limited<Head>,
  timed: readonly RepReading[],
  needed: number,
): { readonly gate: Head & LimitKept; readonly each: readonly number[] } {
  const judged = timed.flatMap((reading) => {
    const duration = timeOf(reading);
    if (!duration) return [];
    const own = verdictOn(duration, limitOf(reading));
    return [{ ...own, overMs: duration.ms - own.limitMs }];
  });
  const each = judged.map((rep) => rep.probability);
  const count = (verdict: Verdict) => judged.filter((rep) => rep.verdict === verdict).length;
  const best = judged.map(({ overMs }) => overMs).sort((a, b) => a - b);
  const probability = probabilityAtLeast(each, needed);
  return {
    each,
    gate: {
      ...head,
      passes: count('pass'),
      fails: count('fail'),
      tooClose: count('too close to call'),
      needed,
      probability,
      verdict: verdictOf(probability),
      overMs: best[needed - 1] ?? NaN,
    },
  };
}

function validRepsGate(
  valid: readonly RepReading[],
  timed: number,
  limited: readonly Limited<object>[],
  needed: number,
): ValidRepsGate {
  const untimed: Record<string, number> = {};
  for (const { name, timeOf } of limited) {
    const lacking = valid.filter((reading) => !timeOf(reading)).length;
    if (lacking > 0) untimed[name] = lacking;
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

/** A last third of the set slower than the first by this share is a steep fade. */
const STEEP_SHARE = 0.1;

function fadeOfSet(readings: readonly RepReading[]): SetFade | null {
  const fade = fadeOf(readings, 'cycle') ?? fadeOf(readings, 'response');
  if (!fade) return null;
  const { firstThirdMs, lastThirdMs, words } = fade;
  return {
    ...{ firstThirdMs, lastThirdMs },
    isSteep: words === 'faded' && lastThirdMs / firstThirdMs - 1 >= STEEP_SHARE,
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
  const durations = limitsOf(rung).map(([gate, limitMs]) => durationLimited(rung, gate, limitMs));
  const coachLimits = (rung.coachLimits ?? []).map(coachLimited);
  const limited = [...durations, ...coachLimits];
  const valid = readings.filter(({ leftOut }) => leftOut === null);
  const timed = valid.filter((reading) => limited.every(({ timeOf }) => timeOf(reading)));
  const cued = cuedReps(readings);
  const needed = shareOf(timed.length, rung.passShare);
  const times = durations.map((limit) => judgeLimited(limit, timed, needed));
  const coach = coachLimits.map((limit) => judgeLimited(limit, timed, needed));
  const whole = timed.map((reading, rep) =>
    [...times, ...coach].reduce(
      (product, { each }) => product * (each[rep] ?? 0),
      hasNoneOf(reading, watched) ? 1 : 0,
    ),
  );
  const chanceOf = new Map(timed.map((reading, i) => [reading, whole[i] ?? 0]));
  const probability = probabilityAtLeast(whole, needed);
  const gates = {
    validReps: validRepsGate(valid, timed.length, limited, rung.minValidReps),
    falseStarts: falseStartGate(cued, rung.falseStartShare),
    technique: techniqueGate(cued, watched, rung.cleanShare),
    held: heldGate(readings, rung.heldShare),
    spread: spreadGate(timed, rung.mostSpread),
  };
  return {
    outcome: outcomeOf(gates, probability),
    ...gates,
    times: times.map(({ gate }) => gate),
    ...(coach.length > 0 && { coach: coach.map(({ gate }) => gate) }),
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
  // False starts are certain in themselves, and count even with too few other reps.
  if (!falseStarts.met) return 'not passed';
  if (!validReps.met) return 'too few reps';
  if (!technique.met || held?.met === false || spread?.met === false) return 'not passed';
  const verdict = verdictOf(probability);
  return verdict === 'pass' ? 'passed' : verdict === 'fail' ? 'not passed' : verdict;
}
