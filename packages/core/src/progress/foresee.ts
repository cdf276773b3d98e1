import { meanForeperiodMs } from '../cue/index.js';
import type { Conditions } from '../drill/index.js';
import { median, normalCdf, normalQuantile } from '../numeric/index.js';
import { GATED_DURATIONS, limitsForAll, type GatedDuration, type Rung } from '../pattern/index.js';
import type { SetFigures } from '../stats/index.js';
import { SURE } from '../timing/index.js';
import { isCuedAsAsked } from './ladder.js';

/** An athlete's usual times, ms; what was never timed is left out. */
export type UsualTimes = Readonly<Partial<Record<GatedDuration, number>>>;

/** A set that is about to be run, as far as what it can show goes. */
export interface ComingSet {
  readonly rung: Rung;
  readonly conditions: Pick<
    Conditions,
    'order' | 'workMs' | 'pace' | 'foreperiod' | 'catchShare' | 'freezeShare'
  >;
  /** Cues of a set that is not run for a time. */
  readonly reps: number;
  /** Sd of one event as it is timed, ms; 0 where a device does, `null` where nobody does. */
  readonly eventSdMs: number | null;
  readonly usualMs: UsualTimes;
}

/** What a set will not show, foreseen; with what would mend it. */
export type Foreseen =
  /** Fewer reps are to be expected than the rung judges by; so many, or so much work, would do. */
  | {
      readonly kind: 'too few reps';
      readonly expected: number;
      readonly needed: number;
      readonly mend: { readonly workMs: number } | { readonly reps: number };
    }
  /** Timed like this, most reps would be too close to call; `share` of them, 0–1. */
  | {
      readonly kind: 'too close by hand';
      readonly gate: GatedDuration;
      readonly limitMs: number;
      readonly share: number;
    }
  /** The cues give more away than the rung asks: the set is no evidence for it. */
  | { readonly kind: 'cues give away' };

/** The middle of each duration over an athlete's newest sets, from their figures. */
export const usualTimes = (newest: readonly Pick<SetFigures, 'mediansMs'>[]): UsualTimes =>
  Object.fromEntries(
    GATED_DURATIONS.flatMap((gate) => {
      const times = newest.flatMap(({ mediansMs }) => mediansMs[gate] ?? []);
      return times.length > 0 ? [[gate, Math.round(median(times))]] : [];
    }),
  );

/** Work is settled in steps of so much, ms. */
const WORK_STEP_MS = 5000;
/** An athlete's own times spread about their middle by this share (reaction and cycle alike). */
const OWN_SPREAD = 0.12;
/** More reps than this too close to call, and the set decides little. */
const MOST_CLOSE = 0.5;

/** From one cue to the next, ms; `null` where the athlete's pace is not known. */
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

/** Share of reps whose measured time would fall where nothing can be called. */
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
    // A cue is exact; of a recovery both ends are pressed.
    const sdMs = gate === 'recovery' ? Math.SQRT2 * eventSdMs : eventSdMs;
    const share = closeShare(own, limitMs, sdMs);
    if (share > MOST_CLOSE) return { kind: 'too close by hand', gate, limitMs, share };
  }
  return null;
}

/**
 * What a set will not be able to show, said before it: too few reps in the time, or as settled; a limit
 * that the timing cannot decide for most reps; cues more guessable than the rung asks. Nobody times:
 * nothing is said but of the cues.
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
