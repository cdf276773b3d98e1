/** Positions that can be called to a stop in mid-rep. */
export const FREEZE_AT = ['split', 'load', 'recovery'] as const;
export type FreezeAt = (typeof FREEZE_AT)[number];

/** What appears only at arrival, to be said aloud or acted on, so that the eyes stay up. */
export const LATE_KINDS = ['colour', 'side'] as const;
export type LateKind = (typeof LATE_KINDS)[number];

/** Colours that may appear at arrival, to be called out. */
export const LATE_COLOURS = ['blue', 'yellow', 'white', 'black'] as const;
/** Sides that may appear at arrival, to throw to. */
export const LATE_SIDES = ['left', 'right'] as const;

/** What appears only at arrival: eyes and head stay up for it. */
export interface LateCue {
  readonly kind: LateKind;
  readonly show: (typeof LATE_COLOURS)[number] | (typeof LATE_SIDES)[number];
}

/** One cue to come. */
export interface Cue {
  /** Counts from 1. */
  readonly ordinal: number;
  /** The target's letter; of a catch trial, the one that is not called. */
  readonly target: string;
  /** From ready (or home) to the cue. */
  readonly foreperiodMs: number;
  /** A ready signal that no cue follows: shows who goes early. */
  readonly catch?: true;
  /** The cue changes to another target so long after it: shows who committed too early. */
  readonly switchTo?: { readonly target: string; readonly afterMs: number };
  /** "Freeze" is called there: the athlete holds, the coach looks. */
  readonly freezeAt?: FreezeAt;
  readonly late?: LateCue;
  /** A helper moves the target so far out (or in, below zero) for this rep, metres. */
  readonly movedM?: number;
}

/** What a rep is for; only the plain ones are timed against limits. */
export type Trial = 'plain' | 'catch' | 'switch' | 'freeze';

/** What a cue tests: a rep is one of these or plain. */
export const trialOf = (cue: Pick<Cue, 'catch' | 'switchTo' | 'freezeAt'>): Trial =>
  cue.catch ? 'catch' : cue.switchTo ? 'switch' : cue.freezeAt ? 'freeze' : 'plain';

/** The targets that are really called, in order: what an athlete could learn to guess. */
export const calledTargets = (cues: readonly Pick<Cue, 'target' | 'catch'>[]): string[] =>
  cues.filter((cue) => !cue.catch).map(({ target }) => target);
