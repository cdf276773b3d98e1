import { seededRandom, shuffledSchedule, type Cue, type Random } from '@orthokin/core/cue';
import { HOME } from '@orthokin/core/floor';
import { rungOf, targetOf, type Pattern, type Rung } from '@orthokin/core/pattern';
import {
  decideByCount,
  DEFAULT_COUNT_RULE,
  judgeSet,
  type JudgedSet,
} from '@orthokin/core/progress';
import { simulateRep, type SimulatedAthlete } from '@orthokin/core/simulation';
import {
  DEFAULT_FALSE_START_MS,
  DEFAULT_RESPONSE_LIMIT_MS,
  eventOf,
  readRep,
  type Rep,
} from '@orthokin/core/timing';

const DAY_MS = 24 * 60 * 60 * 1000;
const WEEKS = 8;
/** Days of the week, counted back from yesterday, on which the club trains. */
const TRAINING_DAYS = [1, 4];
const ATTENDANCE = 0.88;
const SETS_A_SESSION = 2;
const SET_EVERY_MS = 6 * 60 * 1000;
const FIRST_SET_MS = 17.5 * 60 * 60 * 1000;
const FOREPERIOD_MS = [900, 1900] as const;
const REPS_A_SET = 12;

export interface PastSet {
  readonly startedAt: Date;
  readonly day: string;
  readonly endedAt: Date;
  readonly rung: number;
  readonly seed: number;
  readonly cues: readonly Cue[];
  readonly reps: readonly Rep[];
  /** The rung this set led to, when the rule said move up. */
  readonly movedTo: number | null;
}

interface SetPlan {
  readonly startedAt: Date;
  readonly rung: Rung;
  readonly sessionsBefore: number;
  readonly seed: number;
}

/** One set of the simulated athlete, cue by cue on the set's own clock. */
function runSet(model: SimulatedAthlete, pattern: Pattern, plan: SetPlan) {
  const random = seededRandom(plan.seed);
  const schedule = shuffledSchedule(
    { targets: plan.rung.targets, reps: REPS_A_SET, maxRun: 2, foreperiodMs: FOREPERIOD_MS },
    random,
  );
  if (!schedule.ok) throw new Error(schedule.problem.allowed);
  let clock = 1500;
  const reps = schedule.value.map(({ ordinal, target, foreperiodMs }): Rep => {
    const cue = {
      atMs: clock + foreperiodMs,
      target: targetOf(pattern, target)?.at ?? HOME,
      repsBefore: ordinal - 1,
      sessionsBefore: plan.sessionsBefore,
    };
    const rep = simulateRep(model, cue, random);
    clock = eventOf(rep.events, 'home')?.atMs ?? cue.atMs;
    return { ordinal, target, ...rep, struckOut: false };
  });
  return { cues: schedule.value, reps, lengthMs: clock };
}

function sessionDays(today: Date, random: Random): Date[] {
  const midnight = Date.UTC(today.getUTCFullYear(), today.getUTCMonth(), today.getUTCDate());
  const days: Date[] = [];
  for (let week = WEEKS - 1; week >= 0; week--)
    for (const back of [...TRAINING_DAYS].reverse())
      if (random() < ATTENDANCE) days.push(new Date(midnight - (week * 7 + back) * DAY_MS));
  return days;
}

/**
 * Eight weeks of sets up to yesterday, each athlete moved up whenever the count rule said so: the
 * history is what the rules themselves would have made of this athlete.
 */
export function pastSets(
  model: SimulatedAthlete,
  pattern: Pattern,
  today: Date,
  seed: number,
): PastSet[] {
  const random = seededRandom(seed);
  const past: PastSet[] = [];
  let rungNumber = 1;
  let evidence: JudgedSet[] = [];
  for (const [sessionsBefore, date] of sessionDays(today, random).entries()) {
    for (let n = 0; n < SETS_A_SESSION; n++) {
      const rung = rungOf(pattern, rungNumber);
      if (!rung) throw new Error(`No rung ${rungNumber}.`);
      const startedAt = new Date(date.getTime() + FIRST_SET_MS + n * SET_EVERY_MS);
      const plan = { startedAt, rung, sessionsBefore, seed: Math.floor(random() * 2 ** 32) };
      const { cues, reps, lengthMs } = runSet(model, pattern, plan);
      const day = startedAt.toISOString().slice(0, 10);
      const readings = reps.map((rep) =>
        readRep(rep, {
          falseStartMs: DEFAULT_FALSE_START_MS,
          responseLimitMs: DEFAULT_RESPONSE_LIMIT_MS,
          splitWindowMs: pattern.splitWindowMs,
        }),
      );
      evidence.push({ setId: String(past.length), day, judgement: judgeSet(readings, rung) });
      const hasRungAbove = rungNumber < pattern.rungs.length;
      const { answer } = decideByCount(evidence, DEFAULT_COUNT_RULE, hasRungAbove);
      if (answer === 'move up') {
        rungNumber += 1;
        evidence = [];
      }
      past.push({
        startedAt,
        day,
        endedAt: new Date(startedAt.getTime() + lengthMs),
        rung: rung.number,
        seed: plan.seed,
        cues,
        reps,
        movedTo: answer === 'move up' ? rungNumber : null,
      });
    }
  }
  return past;
}
