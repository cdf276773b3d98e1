import {
  DURATION_NAMES,
  type Duration,
  type DurationName,
  type LeftOutReason,
  type RepReading,
} from '../timing/index.js';
import { MAD_TO_SD, medianInPlace, quartilesInPlace } from '../numeric/index.js';

/** Times more than this many scaled MADs above the median are flagged, and kept. */
const SLOW_MADS = 3;
/** With fewer times the MAD means nothing. */
const ENOUGH_FOR_SPREAD = 5;

/** The time above which a rep is flagged as slow, ms; infinite with too few times. */
export const slowFromMs = (n: number, medianMs: number, madMs: number): number =>
  n < ENOUGH_FOR_SPREAD ? Infinity : medianMs + SLOW_MADS * MAD_TO_SD * madMs;

/** Summary of a duration: median and quartiles, ms, and slow reps. */
export interface DurationSummary {
  readonly n: number;
  readonly medianMs: number;
  readonly lowerQuartileMs: number;
  readonly upperQuartileMs: number;
  /** Typical standard deviation of the timing error in this duration. */
  readonly errorSdMs: number;
  /** Ordinals of flagged reps, which are included in the figures. */
  readonly slowOrdinals: readonly number[];
}

/** A rep left out of the times, and why. */
export interface LeftOut {
  readonly ordinal: number;
  readonly why: LeftOutReason;
}

/** Summary of a set: what was timed, and what was left out and why. */
export interface SetSummary {
  /** Number of reps included. */
  readonly n: number;
  readonly leftOut: readonly LeftOut[];
  readonly durations: Readonly<Partial<Record<DurationName, DurationSummary>>>;
}

/** A duration's values as a typed array, which sorts many times faster than objects. */
class Column {
  n = 0;
  private readonly ordinals: Int32Array;
  private readonly times: Float64Array;
  private readonly sds: Float64Array;

  constructor(most: number) {
    this.ordinals = new Int32Array(most);
    this.times = new Float64Array(most);
    this.sds = new Float64Array(most);
  }

  add(ordinal: number, { ms, sdMs }: Duration): void {
    this.ordinals[this.n] = ordinal;
    this.times[this.n] = ms;
    this.sds[this.n] = sdMs;
    this.n++;
  }

  summary(): DurationSummary | null {
    const { n } = this;
    if (n === 0) return null;
    const times = this.times.slice(0, n);
    const [lowerQuartileMs, medianMs, upperQuartileMs] = quartilesInPlace(times);
    for (let i = 0; i < n; i++) times[i] = Math.abs((times[i] as number) - medianMs);
    const fromMs = slowFromMs(n, medianMs, medianInPlace(times));
    const slowOrdinals: number[] = [];
    for (let i = 0; i < n; i++)
      if ((this.times[i] as number) > fromMs) slowOrdinals.push(this.ordinals[i] as number);
    return {
      ...{ n, medianMs, lowerQuartileMs, upperQuartileMs, slowOrdinals },
      errorSdMs: medianInPlace(this.sds.subarray(0, n)),
    };
  }
}

/** Robust summary of some reps' times; `null` if there are none. */
export function summariseTimes(
  times: readonly { readonly ordinal: number; readonly duration: Duration }[],
): DurationSummary | null {
  const column = new Column(times.length);
  for (const { ordinal, duration } of times) column.add(ordinal, duration);
  return column.summary();
}

function leftOutOf(readings: readonly RepReading[]): LeftOut[] {
  const all: LeftOut[] = [];
  for (const { rep, leftOut } of readings)
    if (leftOut) all.push({ ordinal: rep.ordinal, why: leftOut });
  return all;
}

/** Robust summary of a set. */
export function summariseSet(readings: readonly RepReading[]): SetSummary {
  const kept = readings.filter(({ leftOut }) => leftOut === null);
  // A single pass over the reps, since a club's whole record may be summarised at once.
  const columns = DURATION_NAMES.map((name) => [name, new Column(kept.length)] as const);
  for (const { rep, durations } of kept)
    for (const [name, column] of columns) {
      const duration = durations[name];
      if (duration) column.add(rep.ordinal, duration);
    }
  const durations: Partial<Record<DurationName, DurationSummary>> = {};
  for (const [name, column] of columns) {
    const summary = column.summary();
    if (summary) durations[name] = summary;
  }
  return {
    n: kept.length,
    leftOut: leftOutOf(readings),
    durations,
  };
}
