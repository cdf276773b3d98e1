import { PLAIN_TRIALS, type ScheduleSettings } from '../cue/index.js';
import type { Fault } from '../timing/index.js';
import type { Eased } from './eased.js';
import type { LossCost } from './stakes.js';

/** Kinds of cue that are seen. */
export const SCREEN_KINDS = ['marker', 'colour', 'arrow', 'number', 'word'] as const;
/** Kinds of cue that are heard. */
export const SOUND_KINDS = ['tone', 'spoken', 'spoken colour'] as const;
/** All kinds of cue. Hearing is faster than seeing, so the two are not pooled. */
export const CUE_KINDS = [...SCREEN_KINDS, ...SOUND_KINDS] as const;
export type ScreenKind = (typeof SCREEN_KINDS)[number];
export type SoundKind = (typeof SOUND_KINDS)[number];
export type CueKind = (typeof CUE_KINDS)[number];

/**
 * `self`: a foreperiod after home is seen · `fixed`, `demand`: every so often, home or not ·
 * `staircase`: every so often, and that moves by itself with what is passed.
 */
export const PACE_KINDS = ['self', 'fixed', 'demand', 'staircase'] as const;

/** Bounds of a staircase's settings; steps in ms. */
export const STAIRCASE_LIMITS = {
  passesInARow: [1, 5],
  stepMs: [5, 2000],
  reversals: [2, 20],
} as const satisfies Readonly<Record<string, readonly [least: number, most: number]>>;

/** How a staircase changes its pace; see the staircase rule in progress. */
export interface StaircaseSteps {
  readonly passesInARow: number;
  /** First step, and the smallest that halving at reversals leads to, ms. */
  readonly stepMs: number;
  readonly leastStepMs: number;
  /** Number of reversals averaged for the threshold. */
  readonly reversals: number;
}

/** When the next cue comes. */
export interface Pace {
  readonly kind: (typeof PACE_KINDS)[number];
  /** From cue to cue, ms; a staircase's first pace; `null` at the athlete's own pace. */
  readonly everyMs: number | null;
  /** Only for a staircase. */
  readonly steps?: StaircaseSteps;
}

/** `home zone`: anywhere inside home base counts. `all the way home`: otherwise the rep does not count. */
export const HOME_RULES = ['home zone', 'all the way home'] as const;
export type HomeRule = (typeof HOME_RULES)[number];

/** How a set is run, apart from athlete, pattern and number of reps. */
export interface Conditions extends Omit<ScheduleSettings, 'targets' | 'reps'> {
  readonly pace: Pace;
  /** One or two: at most one seen and one heard. */
  readonly cueKinds: readonly CueKind[];
  readonly homeRule: HomeRule;
  /** At most two watched faults. */
  readonly watched: readonly Fault[];
  /** Duration of work, however many reps that gives, ms; `null` for a number of reps. */
  readonly workMs: number | null;
  /** Present if the set asks less than its rung, and so is no evidence for it. */
  readonly eased?: Eased | null;
  /** For a pressure set: what a lost rep adds; not for a set that runs for a time. */
  readonly lossCost?: LossCost | null;
  /** For a quality set: ends when technique fails. */
  readonly endsOnFaults?: boolean;
}

/** Conditions without tests: shuffled markers with a tone, at the athlete's own pace. */
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

/** The kind of cue on the screen; `null` if cues are only heard. */
export const screenKindOf = ({ cueKinds }: Pick<Conditions, 'cueKinds'>): ScreenKind | null =>
  SCREEN_KINDS.find((kind) => cueKinds.includes(kind)) ?? null;

/** The kind of cue that is heard; `null` if cues are only seen. */
export const soundKindOf = ({ cueKinds }: Pick<Conditions, 'cueKinds'>): SoundKind | null =>
  SOUND_KINDS.find((kind) => cueKinds.includes(kind)) ?? null;

/** Whether cues are spoken. */
export const isSpoken = (conditions: Pick<Conditions, 'cueKinds'>): boolean => {
  const kind = soundKindOf(conditions);
  return kind === 'spoken' || kind === 'spoken colour';
};

/** The sense that reacts first. Hearing is 30–50 ms faster than seeing, so times are never pooled across senses. */
export const senseOf = (conditions: Pick<Conditions, 'cueKinds'>): 'heard' | 'seen' =>
  soundKindOf(conditions) ? 'heard' : 'seen';
