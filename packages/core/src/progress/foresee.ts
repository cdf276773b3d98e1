import { meanForeperiodMs } from '../cue/index.js';
import type { Conditions } from '../drill/index.js';
import { median, normalCdf, normalQuantile } from '../numeric/index.js';
import { GATED_DURATIONS, limitsForAll, type GatedDuration, type Rung } from '../pattern/index.js';
import type { SetFigures } from '../stats/index.js';
import { SURE } from '../timing/index.js';
import { isCuedAsAsked } from './ladder.js';

/** An athlete's usual times, ms, without what was never timed. */
export type UsualTimes = Readonly<Partial<Record<GatedDuration, number>>>;

/** A set that is about to be run. */
export interface ComingSet {
  readonly rung: Rung;
  readonly conditions: Pick<
    Conditions,
    'order' | 'workMs' | 'pace' | 'foreperiod' | 'catchShare' | 'freezeShare'
  >;
  /** Number of cues, unless the set runs for a time. */
  readonly reps: number;
  /** Standard deviation of a timed event, ms; 0 for a device, `null` if nobody times. */
  readonly eventSdMs: number | null;
  readonly usualMs: UsualTimes;
}

/** Something a set will not be able to show, with what would fix it. */
export type Foreseen =
  /** Fewer reps than the rung needs are to be expected; this many, or this much work, would suffice. */
  | {
      readonly kind: 'too few reps';
      readonly expected: number;
      readonly needed: number;
      readonly mend: { readonly workMs: number } | { readonly reps: number };
    }
  /** With this timing most reps would be too close to call; `share` of them, 0–1. */
  | {
      readonly kind: 'too close by hand';
      readonly gate: GatedDuration;
      readonly limitMs: number;
      readonly share: number;
    }
  /** The cues are more predictable than the rung asks, so the set is no evidence for it. */
  | { readonly kind: 'cues give away' };

/** The median of each duration over an athlete's newest sets. */
export const usualTimes = (newest: readonly Pick<SetFigures, 'mediansMs'>[]): UsualTimes =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const times = newest.flatMap(({ mediansMs }) => mediansMs[gate] ?? []);
      return times.length > 0 ? [[gate, Math.round(median(times))]] : [];
    }),
  );

/** Step in which work is suggested, ms. */
const WORK_STEP_MS = 5000;
/** Spread of an athlete's times around their median, as a share. */
const OWN_SPREAD = 0.12;
/** With a larger share of reps too close to call a set decides little. */
const MOST_CLOSE = 0.5;

/** Time from cue to cue, ms; `null` if the athlete's pace is unknown. */
function everyMs({ conditions, usualMs }: ComingSet): number | null {
  const { pace, foreperiod } = conditions;
  if (pace.everyMs !== null) return pace.everyMs;
  return usualMs.cycle === undefined ? null : usualMs.cycle + meanForeperiodMs(foreperiod);
}

function tooFewReps(set: ComingSet): Foreseen | null {
  const { conditions, reps, rung } = set;
  const { workMs, catchShare, freezeShare } = conditions;
  const timedShare = 1 - catchShare - freezeShare;
  const needed = rung.minValidReps;
  if (timedShare <= 0) return null;
  const cues = Math.ceil(needed / timedShare);
  if (workMs === null) {
    const expected = Math.floor(reps * timedShare);
    return expected < needed
      ? { kind: 'too few reps', expected, needed, mend: { reps: cues } }
      : null;
  }
  const every = everyMs(set);
  if (every === null) return null;
  const expected = Math.floor((workMs / every) * timedShare);
  if (expected >= needed) return null;
  const work = Math.ceil((cues * every) / WORK_STEP_MS) * WORK_STEP_MS;
  return { kind: 'too few reps', expected, needed, mend: { workMs: work } };
}

/** Share of reps whose measured time would be too close to the limit to call. */
function closeShare(usualMs: number, limitMs: number, sdMs: number): number {
  const reach = normalQuantile(SURE) * sdMs;
  const spread = Math.hypot(OWN_SPREAD * usualMs, sdMs);
  const below = (ms: number) => normalCdf((ms - usualMs) / spread);
  return below(limitMs + reach) - below(limitMs - reach);
}

function tooClose({ rung, eventSdMs, usualMs }: ComingSet): Foreseen | null {
  if (eventSdMs === null || eventSdMs === 0) return null;
  const limitsMs = limitsForAll(rung);
  for (const gate of GATED_DURATIONS) {
    const [limitMs, own] = [limitsMs[gate], usualMs[gate]];
    if (limitMs === undefined || own === undefined) continue;
    // A cue's time is exact, but both ends of a recovery are pressed.
    const sdMs = gate === 'recovery' ? Math.SQRT2 * eventSdMs : eventSdMs;
    const share = closeShare(own, limitMs, sdMs);
    if (share > MOST_CLOSE) return { kind: 'too close by hand', gate, limitMs, share };
  }
  return null;
}

/**
 * Warns of what a set will not be able to show: too few reps; a limit that the timing cannot decide for most reps;
 * cues more predictable than the rung asks. If nobody times only the cues are checked.
 */
export function foresee(set: ComingSet): Foreseen[] {
  const { conditions, rung, eventSdMs } = set;
  const isTimed = eventSdMs !== null;
  return [
    isTimed ? tooFewReps(set) : null,
    tooClose(set),
    isCuedAsAsked(conditions.order, rung) ? null : ({ kind: 'cues give away' } as const),
  ].filter((one) => one !== null);
}
