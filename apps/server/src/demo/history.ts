import { makeSchedule, seededRandom, type Cue, type Random } from '@orthokin/core/cue';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { HOME } from '@orthokin/core/floor';
import { rungOf, targetOf, type Pattern, type Rung } from '@orthokin/core/pattern';
import {
  decide,
  QUICK_COUNT_RULE,
  judgeSet,
  stepOf,
  type Decision,
  type Evidence,
  type JudgedSet,
} from '@orthokin/core/progress';
import { formOn, simulateRep, type SimulatedAthlete } from '@orthokin/core/simulation';
import {
  USUAL_FALSE_START_MS,
  USUAL_RESPONSE_LIMIT_MS,
  eventOf,
  readRep,
  type Rep,
} from '@orthokin/core/timing';
import type { DemoAthlete } from './cast.js';

const DAY_MS = 24 * 60 * 60 * 1000;
const WEEKS = 8;
/** Training days of each week, in days back from yesterday. */
const TRAINING_DAYS = [1, 4];
const ATTENDANCE = 0.88;
const SETS_A_SESSION = 2;
const SET_EVERY_MS = 6 * 60 * 1000;
const FIRST_SET_MS = 17.5 * 60 * 60 * 1000;
export const REPS_A_SET = 12;
/** The standard test: the same cues on the first rung, twice, in the first and in the last session. */
export const TEST_SEED = 20_261;
const TESTS_A_SESSION = 2;

export interface PastSet {
  readonly id: string;
  readonly startedAt: Date;
  readonly day: string;
  readonly endedAt: Date;
  readonly rung: number;
  readonly seed: number;
  readonly cues: readonly Cue[];
  readonly reps: readonly Rep[];
  /** The move the rule's decision led to after this set, if any. */
  readonly moved: {
    readonly toRung: number;
    readonly decision: Decision;
    readonly evidence: Evidence;
  } | null;
}

interface SetPlan {
  readonly startedAt: Date;
  readonly rung: Rung;
  readonly sessionsBefore: number;
  readonly seed: number;
  /** For the test, whose cues are fixed: the seed of the athlete's own randomness. */
  readonly playedBy?: number;
}

const dayOf = (at: Date): string => at.toISOString().slice(0, 10);

/** Simulates one set, cue by cue, on the set's clock. */
function runSet(model: SimulatedAthlete, pattern: Pattern, plan: SetPlan) {
  const random = seededRandom(plan.seed);
  const schedule = makeSchedule(
    { ...PLAIN_CONDITIONS, targets: plan.rung.targets, reps: REPS_A_SET },
    random,
  );
  if (!schedule.ok) throw new Error(schedule.problem.allowed);
  const play = plan.playedBy === undefined ? random : seededRandom(plan.playedBy);
  let clock = 1500;
  const reps = schedule.value.map(({ ordinal, target, foreperiodMs }): Rep => {
    const cue = {
      atMs: clock + foreperiodMs,
      target: targetOf(pattern, target)?.at ?? HOME,
      repsBefore: ordinal - 1,
      sessionsBefore: plan.sessionsBefore,
      // By session and not by date, so that the demo is the same whenever it is loaded.
      form: formOn(model, plan.sessionsBefore),
    };
    const rep = simulateRep(model, cue, play);
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
 * Eight weeks of sets up to yesterday. Athletes move whenever the count rule decides so: the history is what the
 * rules would have made of them.
 */
export function pastSets(
  { model, later }: Pick<DemoAthlete, 'model' | 'later'>,
  pattern: Pattern,
  today: Date,
  seed: number,
  newId: (at: Date) => string,
): PastSet[] {
  const random = seededRandom(seed);
  const past: PastSet[] = [];
  let rungNumber = 1;
  let evidence: JudgedSet[] = [];
  const modelAt = (session: number) =>
    later && session >= later.fromSession ? later.model : model;
  const run = (plan: SetPlan): PastSet => {
    const { cues, reps, lengthMs } = runSet(modelAt(plan.sessionsBefore), pattern, plan);
    const day = dayOf(plan.startedAt);
    const set = {
      id: newId(plan.startedAt),
      ...{ startedAt: plan.startedAt, day, endedAt: new Date(plan.startedAt.getTime() + lengthMs) },
      ...{ rung: plan.rung.number, seed: plan.seed, cues, reps },
    };
    if (plan.rung.number !== rungNumber) return { ...set, moved: null };
    const readings = reps.map((rep) =>
      readRep(rep, {
        falseStartMs: USUAL_FALSE_START_MS,
        responseLimitMs: USUAL_RESPONSE_LIMIT_MS,
        splitWindowMs: pattern.splitWindowMs,
      }),
    );
    evidence.push({ setId: set.id, day, judgement: judgeSet(readings, plan.rung) });
    const grounds: Evidence = {
      ...{ sets: evidence, rung: plan.rung, hasRungBelow: rungNumber > 1 },
      next: rungOf(pattern, rungNumber + 1) ?? null,
    };
    const decision = decide(grounds, QUICK_COUNT_RULE);
    const step = stepOf(decision.answer);
    if (step === 0) return { ...set, moved: null };
    rungNumber += step;
    evidence = [];
    return { ...set, moved: { toRung: rungNumber, decision, evidence: grounds } };
  };
  const rungAt = (number: number): Rung => {
    const rung = rungOf(pattern, number);
    if (!rung) throw new Error(`No rung ${number}.`);
    return rung;
  };

  const days = sessionDays(today, random);
  for (const [sessionsBefore, date] of days.entries()) {
    let startMs = date.getTime() + FIRST_SET_MS;
    const next = () => new Date((startMs += SET_EVERY_MS));
    if (sessionsBefore === 0 || sessionsBefore === days.length - 1)
      for (let n = 0; n < TESTS_A_SESSION; n++) {
        const playedBy = seed + 1000 * sessionsBefore + n;
        past.push(
          run({
            ...{ startedAt: next(), rung: rungAt(1), sessionsBefore },
            ...{ seed: TEST_SEED, playedBy },
          }),
        );
      }
    for (let n = 0; n < SETS_A_SESSION; n++) {
      const seedOfSet = Math.floor(random() * 2 ** 32);
      past.push(
        run({ startedAt: next(), rung: rungAt(rungNumber), sessionsBefore, seed: seedOfSet }),
      );
    }
  }
  return past;
}
