import {
  DURATION_NAMES,
  type DurationName,
  type LeftOutReason,
  type RepReading,
} from '../timing/index.js';
import { median, quartiles, scaledMad } from './describe.js';

/** Slower than this many scaled MADs above the median is flagged (and kept). */
const SLOW_MADS = 3;
/** Fewer times than this have no spread to be far out of. */
const ENOUGH_FOR_SPREAD = 5;

export interface DurationSummary {
  readonly n: number;
  readonly medianMs: number;
  readonly lowerQuartileMs: number;
  readonly upperQuartileMs: number;
  /** Typical sd of the timing error in one of these durations. */
  readonly errorSdMs: number;
  /** Ordinals of reps far slower than the rest; they are part of the figures above. */
  readonly slowOrdinals: readonly number[];
}

export interface LeftOut {
  readonly ordinal: number;
  readonly why: LeftOutReason;
}

export interface SetSummary {
  /** Reps that take part in the figures. */
  readonly n: number;
  readonly leftOut: readonly LeftOut[];
  readonly durations: Readonly<Partial<Record<DurationName, DurationSummary>>>;
}

function summariseDuration(
  name: DurationName,
  readings: readonly RepReading[],
): DurationSummary | null {
  const measured = readings.flatMap(({ rep, durations }) => {
    const duration = durations[name];
    return duration ? [{ ordinal: rep.ordinal, ...duration }] : [];
  });
  if (measured.length === 0) return null;
  const times = measured.map(({ ms }) => ms);
  const [lowerQuartileMs, medianMs, upperQuartileMs] = quartiles(times);
  const slowFrom =
    times.length < ENOUGH_FOR_SPREAD ? Infinity : medianMs + SLOW_MADS * scaledMad(times);
  return {
    n: times.length,
    medianMs,
    lowerQuartileMs,
    upperQuartileMs,
    errorSdMs: median(measured.map(({ sdMs }) => sdMs)),
    slowOrdinals: measured.filter(({ ms }) => ms > slowFrom).map(({ ordinal }) => ordinal),
  };
}

/** Robust summary of a set: what was measured, of how many reps, and what was left out and why. */
export function summariseSet(readings: readonly RepReading[]): SetSummary {
  const kept = readings.filter(({ leftOut }) => leftOut === null);
  const durations: Partial<Record<DurationName, DurationSummary>> = {};
  for (const name of DURATION_NAMES) {
    const summary = summariseDuration(name, kept);
    if (summary) durations[name] = summary;
  }
  return {
    n: kept.length,
    leftOut: readings.flatMap(({ rep, leftOut }) =>
      leftOut ? [{ ordinal: rep.ordinal, why: leftOut }] : [],
    ),
    durations,
  };
}
