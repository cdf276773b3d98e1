import type { Side } from '../floor/index.js';
import type { Leg } from '../pattern/index.js';

/** The rhythm of a run of steps. */
export interface Rhythm {
  /** Between landings, ms. */
  readonly intervalsMs: readonly number[];
  /** Intervals as fractions of the first. */
  readonly ratios: readonly number[];
  /** Whether no interval is more than 5 % longer than the one before; `null` with fewer than two intervals. */
  readonly quickens: boolean | null;
  /** Index of the first interval that is too long; −1 if there is none. */
  readonly breaksAt: number;
}

/** The factor by which an interval may exceed the one before and still count as quickening. */
export const QUICKENING_SLACK = 1.05;

/** Intervals, ratio and quickening of landings at the given times, ms. */
export function rhythmOf(timesMs: readonly number[]): Rhythm {
  const intervalsMs = timesMs.slice(1).map((time, i) => time - (timesMs[i] ?? time));
  const [first = 0] = intervalsMs;
  const breaksAt = intervalsMs.findIndex(
    (interval, i) => i > 0 && interval > QUICKENING_SLACK * (intervalsMs[i - 1] ?? interval),
  );
  return {
    intervalsMs,
    ratios: first > 0 ? intervalsMs.map((interval) => interval / first) : [],
    quickens: intervalsMs.length < 2 ? null : breaksAt < 0,
    breaksAt,
  };
}

/** A tap for a foot, ms on any clock. */
export interface Tap {
  readonly foot: Side;
  readonly atMs: number;
}

/** A leg with a tapped rhythm, and the taps that did not fit. */
export interface Tapped {
  readonly leg: Leg;
  /** Numbers, from 1, of taps with the wrong foot. */
  readonly otherFoot: readonly number[];
  /** Number of taps beyond the leg's steps. */
  readonly unused: number;
}

/**
 * Assigns tapped times to the steps after the split, in order. The first step keeps its time, the taps' distances
 * from it are kept, and what follows the last tapped step is shifted with it.
 */
export function applyTaps(leg: Leg, taps: readonly Tap[]): Tapped {
  const from = leg.placements.findIndex(({ phase }) => phase !== 'split');
  const [first] = taps;
  const start = leg.placements[from];
  if (from < 0 || !first || !start) return { leg, otherFoot: [], unused: taps.length };
  const timed = Math.min(taps.length, leg.placements.length - from);
  const lastTimed = leg.placements[from + timed - 1];
  const lastTap = taps[timed - 1] ?? first;
  const shift = lastTimed ? start.atMs + lastTap.atMs - first.atMs - lastTimed.atMs : 0;
  /** Maps a time to the tapped rhythm. */
  const moved = (atMs: number): number => {
    if (!lastTimed || atMs >= lastTimed.atMs) return Math.round(atMs + shift);
    const at = leg.placements.findLastIndex((step) => step.atMs <= atMs);
    const [a, b] = [leg.placements[at], leg.placements[at + 1]];
    if (!a || !b || at < from) return atMs;
    const [tapA, tapB] = [taps[at - from], taps[at - from + 1]];
    if (!tapA || !tapB) return Math.round(atMs + shift);
    const share = b.atMs > a.atMs ? (atMs - a.atMs) / (b.atMs - a.atMs) : 0;
    return Math.round(start.atMs + tapA.atMs - first.atMs + share * (tapB.atMs - tapA.atMs));
  };
  return {
    leg: {
      ...leg,
      placements: leg.placements.map((step, i) => {
        const tap = taps[i - from];
        if (i < from) return step;
        return {
          ...step,
          atMs: tap ? Math.round(start.atMs + tap.atMs - first.atMs) : moved(step.atMs),
        };
      }),
      actionMs: moved(leg.actionMs),
      departureMs: moved(leg.departureMs),
    },
    otherFoot: taps
      .slice(0, timed)
      .flatMap(({ foot }, i) => (leg.placements[from + i]?.foot === foot ? [] : [i + 1])),
    unused: taps.length - timed,
  };
}
