import { PLAIN_TRIALS, type ScheduleSettings } from '../cue/index.js';
import type { Fault } from '../timing/index.js';
import type { Eased } from './eased.js';
import type { LossCost } from './stakes.js';

/** What the athlete perceives: one thing on the screen, one sound, or both. */
export const SCREEN_KINDS = ['marker', 'colour', 'arrow', 'number', 'word'] as const;
/** Kinds of cue that are heard. */
export const SOUND_KINDS = ['tone', 'spoken', 'spoken colour'] as const;
/** All kinds of cue; hearing is quicker than seeing, so the two are not pooled. */
export const CUE_KINDS = [...SCREEN_KINDS, ...SOUND_KINDS] as const;
export type ScreenKind = (typeof SCREEN_KINDS)[number];
export type SoundKind = (typeof SOUND_KINDS)[number];
export type CueKind = (typeof CUE_KINDS)[number];

/**
 * `self`: a foreperiod after home is seen · `fixed`, `demand`: every so often, home or not ·
 * `staircase`: every so often, and that moves by itself with what is passed.
 */
export const PACE_KINDS = ['self', 'fixed', 'demand', 'staircase'] as const;

/** Least and most of what a staircase may be set to; steps in ms. */
export const STAIRCASE_LIMITS = {
  passesInARow: [1, 5],
  stepMs: [5, 2000],
  reversals: [2, 20],
} as const satisfies Readonly<Record<string, readonly [least: number, most: number]>>;

/** How a pace moves by itself; see the staircase rule of progress. */
export interface StaircaseSteps {
  readonly passesInARow: number;
  /** First step, and the least that halving at reversals leads to, ms. */
  readonly stepMs: number;
  readonly leastStepMs: number;
  /** Reversals that the threshold is the mean of. */
  readonly reversals: number;
}

/** When the next cue comes. */
export interface Pace {
  readonly kind: (typeof PACE_KINDS)[number];
  /** From cue to cue, of a staircase at its start; `null` for one's own pace. */
  readonly everyMs: number | null;
  /** Of a staircase. */
  readonly steps?: StaircaseSteps;
}

/** `home zone`: anywhere inside home base will do · `all the way home`: else the rep does not count. */
export const HOME_RULES = ['home zone', 'all the way home'] as const;
export type HomeRule = (typeof HOME_RULES)[number];

/** How a set is run: everything but who, which pattern and how many. */
export interface Conditions extends Omit<ScheduleSettings, 'targets' | 'reps'> {
  readonly pace: Pace;
  /** One or two: at most one on the screen and one sound. */
  readonly cueKinds: readonly CueKind[];
  readonly homeRule: HomeRule;
  /** At most two faults the coach watches for. */
  readonly watched: readonly Fault[];
  /** Work lasts this long, however many reps that makes; `null` for a number of reps. */
  readonly workMs: number | null;
  /** Given where the set asks less than its rung, and so is no evidence for it. */
  readonly eased?: Eased | null;
  /** Of a pressure set: what a lost rep adds; of a set that lasts a time, nothing. */
  readonly lossCost?: LossCost | null;
  /** Of a quality set: it ends when technique goes. */
  readonly endsOnFaults?: boolean;
}

/** A set without tests: shuffled markers with a tone, each rep at its own pace. */
export const PLAIN_CONDITIONS: Conditions = {
  order: 'shuffled',
  maxRun: 2,
  foreperiod: { kind: 'uniform', leastMs: 900, mostMs: 1900 },
  ...PLAIN_TRIALS,
  pace: { kind: 'self', everyMs: null },
  cueKinds: ['marker', 'tone'],
  homeRule: 'home zone',
  watched: [],
  workMs: null,
};

/** The kind that the screen shows, `null` where cues are only heard. */
export const screenKindOf = ({ cueKinds }: Pick<Conditions, 'cueKinds'>): ScreenKind | null =>
  SCREEN_KINDS.find((kind) => cueKinds.includes(kind)) ?? null;

/** The kind that is heard, `null` where cues are only seen. */
export const soundKindOf = ({ cueKinds }: Pick<Conditions, 'cueKinds'>): SoundKind | null =>
  SOUND_KINDS.find((kind) => cueKinds.includes(kind)) ?? null;

/** Whether a word is said. */
export const isSpoken = (conditions: Pick<Conditions, 'cueKinds'>): boolean => {
  const kind = soundKindOf(conditions);
  return kind === 'spoken' || kind === 'spoken colour';
};

/**
 * What answers are quick to: hearing is some 30–50 ms quicker than seeing, so times of the one are
 * never pooled with times of the other.
 */
export const senseOf = (conditions: Pick<Conditions, 'cueKinds'>): 'heard' | 'seen' =>
  soundKindOf(conditions) ? 'heard' : 'seen';
