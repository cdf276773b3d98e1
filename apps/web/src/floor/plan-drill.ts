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

/** What the floor needs to start, and how the set asks less than its rung, where it does. */
export interface FloorSetup extends DrillSetupReply {
  readonly eased?: Eased | null;
}

/** What the coach settles before a set; kept for the next one. */
export interface DrillChoices {
  readonly source: SetSource;
  readonly reps: number;
  /** Seconds of work; used in place of reps where `conditions.workMs` is not null. */
  readonly seconds: number;
  readonly sets: number;
  /** One part of work to so many of rest; `null` for what the ladder's effort asks. */
  readonly restRatio: number | null;
  readonly conditions: Conditions;
  /** Order, catch and switch shares are what the rung asks; else what the conditions say. */
  readonly asRung: boolean;
}

/** What the set-up settles: enough to run everything. */
export interface Settled {
  readonly athleteIds: readonly string[];
  /** What all of them run; `null`: each what they work on. */
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

/** Nothing happens to a set because a rep went wrong: it is always the same. */
export const NOTHING_AT_STAKE = {
  lossCost: null,
  endsOnFaults: false,
} as const satisfies Partial<Conditions>;

/** Nobody is cued more often than this. */
const LEAST_CYCLE_MS = 1200;

/** Parts of rest to one of work. */
export const restRatioOf = (
  { restRatio }: Pick<DrillChoices, 'restRatio'>,
  { effort }: Pick<LadderSettings, 'effort'>,
): number => restRatio ?? EFFORTS[effort].restRatio;

/** How many cues a set can need. */
export const repsOf = ({ reps, conditions }: DrillChoices): number =>
  conditions.workMs === null
    ? reps
    : Math.min(MAX_REPS, Math.ceil(conditions.workMs / LEAST_CYCLE_MS));

type CuedSetup = Pick<FloorSetup, 'pattern' | 'rung' | 'eased' | 'watched' | 'ladder'>;

/** The conditions of a set on the athlete's rung. */
export function conditionsFor(
  { pattern, rung, eased, watched, ladder }: CuedSetup,
  { conditions: chosen, asRung }: Pick<DrillChoices, 'conditions' | 'asRung'>,
): Conditions {
  const asked = rungOf(pattern, rung);
  const conditions = {
    // What the ladder's effort puts at stake, until the coach chooses otherwise.
    ...EFFORTS[ladder.effort].stakes,
    ...chosen,
    watched,
    ...(eased && { eased }),
    // Of a single target every cue is in a row with the last.
    ...(asked?.targets.length === 1 && { maxRun: MAX_REPS }),
  };
  if (!asked || !asRung) return conditions;
  const { order, catchShare, switchShare } = asked;
  return { ...conditions, order, catchShare, switchShare };
}

/** The set-up with its rung made easier; as it was where nothing of the rung would be left. */
export function withEased(setup: DrillSetupReply, eased: Eased | null): FloorSetup {
  const asked = setup.pattern.rungs.find(({ number }) => number === setup.rung);
  const easier = asked && easedRung(asked, eased);
  if (!eased || !easier || easier.targets.length === 0) return setup;
  const rungs = setup.pattern.rungs.map((rung) => (rung === asked ? easier : rung));
  return { ...setup, pattern: { ...setup.pattern, rungs }, eased };
}

/** The set-up with its floor on the scale that the rung asks. */
export function onRungsFloor(setup: FloorSetup): FloorSetup {
  const scale = rungOf(setup.pattern, setup.rung)?.floorScale ?? 1;
  return { ...setup, pattern: onScale(setup.pattern, scale) };
}

/** The cues of a set on the athlete's rung, drawn from the seed. */
export function scheduleFor(setup: CuedSetup, choices: DrillChoices, seed: number): Result<Cue[]> {
  const targets = rungOf(setup.pattern, setup.rung)?.targets ?? [];
  return makeSchedule(
    { ...conditionsFor(setup, choices), targets, reps: repsOf(choices) },
    seededRandom(seed),
  );
}

/** The cues of reps that lost ones may add; none where nothing is at stake. */
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

/** The pattern's targets in colours the athlete tells apart. */
export const shownTargets = ({ athlete, pattern }: DrillSetupReply): Target[] =>
  seenTargets(pattern.targets, athlete.colourVision);

/** A set on the athlete's own rung, in colours the athlete tells apart. */
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
