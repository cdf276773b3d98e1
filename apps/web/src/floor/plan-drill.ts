import type { SetSource } from '@orthokin/core/run';
import type { ClubReply, DrillSetupReply } from '@orthokin/contract';
import { addedCues, makeSchedule, MAX_REPS, seededRandom, type Cue } from '@orthokin/core/cue';
import { easedRung, PLAIN_CONDITIONS, type Conditions, type Eased } from '@orthokin/core/drill';
import { onScale } from '@orthokin/core/footwork';
import { seenTargets, type Target } from '@orthokin/core/floor';
import { rungOf } from '@orthokin/core/pattern';
import { EFFORTS, type LadderSettings } from '@orthokin/core/progress';
import type { Result } from '@orthokin/core/result';
import { USUAL_FALSE_START_MS, USUAL_RESPONSE_LIMIT_MS } from '@orthokin/core/timing';
import { v7 } from 'uuid';
import { localDay } from '../device/local-day.js';
import { UNCALIBRATED } from '../drill/hand.js';
import type { DrillPlan } from '../drill/plan.js';

/** A set-up with how the set is eased, if it asks less than its rung. */
export interface FloorSetup extends DrillSetupReply {
  readonly eased?: Eased | null;
}

/** The coach's choices for a set; kept for the next one. */
export interface DrillChoices {
  readonly source: SetSource;
  readonly reps: number;
  /** Seconds of work, used instead of a number of reps if `conditions.workMs` is not null. */
  readonly seconds: number;
  readonly sets: number;
  /** Rest per part of work; `null`: as the ladder's effort asks. */
  readonly restRatio: number | null;
  readonly conditions: Conditions;
  /** Whether order, catch and switch shares follow the rung instead of the conditions. */
  readonly asRung: boolean;
}

/** All choices of the set-up. */
export interface Settled {
  readonly athleteIds: readonly string[];
  /** The pattern all athletes run; `null`: each their own. */
  readonly sharedPatternId: string | null;
  readonly choices: DrillChoices;
  readonly seed: number;
  readonly hand: DrillPlan['hand'];
}

export const USUAL_CHOICES: DrillChoices = {
  source: 'hand',
  reps: 10,
  seconds: 20,
  sets: 1,
  restRatio: null,
  conditions: PLAIN_CONDITIONS,
  asRung: true,
};

/** No stakes: nothing happens because a rep went wrong. */
export const NOTHING_AT_STAKE = {
  lossCost: null,
  endsOnFaults: false,
} as const satisfies Partial<Conditions>;

/** Cues are never closer than this. */
const LEAST_CYCLE_MS = 1200;

/** Rest per part of work. */
export const restRatioOf = (
  { restRatio }: Pick<DrillChoices, 'restRatio'>,
  { effort }: Pick<LadderSettings, 'effort'>,
): number => restRatio ?? EFFORTS[effort].restRatio;

/** The most cues a set can need. */
export const repsOf = ({ reps, conditions }: DrillChoices): number =>
  conditions.workMs === null
    ? reps
    : Math.min(MAX_REPS, Math.ceil(conditions.workMs / LEAST_CYCLE_MS));

type CuedSetup = Pick<FloorSetup, 'pattern' | 'rung' | 'eased' | 'watched' | 'ladder'>;

/** Conditions for a set on the athlete's rung. */
export function conditionsFor(
  { pattern, rung, eased, watched, ladder }: CuedSetup,
  { conditions: chosen, asRung }: Pick<DrillChoices, 'conditions' | 'asRung'>,
): Conditions {
  const asked = rungOf(pattern, rung);
  const conditions = {
    // The stakes of the ladder's effort, unless the coach chooses otherwise.
    ...EFFORTS[ladder.effort].stakes,
    ...chosen,
    watched,
    ...(eased && { eased }),
    // With a single target every cue repeats the last one.
    ...(asked?.targets.length === 1 && { maxRun: MAX_REPS }),
  };
  if (!asked || !asRung) return conditions;
  const { order, catchShare, switchShare } = asked;
  return { ...conditions, order, catchShare, switchShare };
}

/** The set-up with an easier rung; unchanged if nothing of the rung would remain. */
export function withEased(setup: DrillSetupReply, eased: Eased | null): FloorSetup {
  const asked = setup.pattern.rungs.find(({ number }) => number === setup.rung);
  const easier = asked && easedRung(asked, eased);
  if (!eased || !easier || easier.targets.length === 0) return setup;
  const rungs = setup.pattern.rungs.map((rung) => (rung === asked ? easier : rung));
  return { ...setup, pattern: { ...setup.pattern, rungs }, eased };
}

/** The set-up with its floor at the rung's scale. */
export function onRungsFloor(setup: FloorSetup): FloorSetup {
  const scale = rungOf(setup.pattern, setup.rung)?.floorScale ?? 1;
  return { ...setup, pattern: onScale(setup.pattern, scale) };
}

/** The cues for a set on the athlete's rung, drawn from a seed. */
export function scheduleFor(setup: CuedSetup, choices: DrillChoices, seed: number): Result<Cue[]> {
  const targets = rungOf(setup.pattern, setup.rung)?.targets ?? [];
  return makeSchedule(
    { ...conditionsFor(setup, choices), targets, reps: repsOf(choices) },
    seededRandom(seed),
  );
}

/** Extra cues for reps that lost ones may add; none without stakes. */
function cuesAtStake(
  setup: CuedSetup,
  choices: DrillChoices,
  cues: readonly Cue[],
  seed: number,
): Result<Cue[]> {
  const { lossCost, workMs, order, ...conditions } = conditionsFor(setup, choices);
  if (!lossCost || workMs !== null || order === 'called') return { ok: true, value: [] };
  const targets = rungOf(setup.pattern, setup.rung)?.targets ?? [];
  return addedCues(
    { ...conditions, order, targets, reps: lossCost.most },
    ...([cues, lossCost.most, seededRandom(seed + 1)] as const),
  );
}

/** The targets in colours the athlete can tell apart. */
export const shownTargets = ({ athlete, pattern }: DrillSetupReply): Target[] =>
  seenTargets(pattern.targets, athlete.colourVision);

/** Plans a set on the athlete's rung, in colours the athlete can tell apart. */
export function planDrill(
  club: ClubReply,
  setup: FloorSetup,
  choices: DrillChoices,
  seed: number,
  startedAtEpochMs: number,
  hand: DrillPlan['hand'] = UNCALIBRATED,
): Result<DrillPlan> {
  const schedule = scheduleFor(setup, choices, seed);
  if (!schedule.ok) return schedule;
  const atStake = cuesAtStake(setup, choices, schedule.value, seed);
  if (!atStake.ok) return atStake;
  const startedAt = new Date(startedAtEpochMs);
  const { athlete, pattern, ownLimits, rung } = setup;
  const limitsMs = ownLimits.includes(rung) ? (rungOf(pattern, rung)?.limitsMs ?? null) : null;
  return {
    ok: true,
    value: {
      id: v7(),
      clubId: club.clubId,
      athlete,
      pattern: { ...pattern, targets: shownTargets(setup) },
      ...{ rung, limitsMs },
      source: choices.source,
      seed,
      conditions: conditionsFor(setup, choices),
      reps: repsOf(choices),
      cues: [...schedule.value, ...atStake.value],
      falseStartMs: USUAL_FALSE_START_MS,
      responseLimitMs: USUAL_RESPONSE_LIMIT_MS,
      startedAt: startedAt.toISOString(),
      day: localDay(startedAt),
      sessionsBefore: setup.sessionsBefore,
      simulated: setup.simulated,
      hand: { biasMs: hand.biasMs, sdMs: hand.sdMs },
    },
  };
}
