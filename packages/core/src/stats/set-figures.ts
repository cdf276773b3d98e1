import type { Target } from '../floor/index.js';
import { median } from '../numeric/index.js';
import {
  catchTrials,
  cuedReps,
  hasNoneOf,
  SEEN_FAULTS,
  type DurationName,
  type Fault,
  type RepReading,
} from '../timing/index.js';
import { asymmetryPercent, mirroredLetters } from './sides.js';
import { summariseSet } from './summary.js';

/** The durations that are followed from set to set. */
export const COURSE_DURATIONS = ['reaction', 'response', 'travel', 'recovery', 'cycle'] as const;
export type CourseDuration = (typeof COURSE_DURATIONS)[number];

/** What is kept of a set to follow an athlete over weeks without reading every rep again. */
export interface SetFigures {
  /** Reps that take part in averages; and plain reps that were cued and not struck out. */
  readonly counted: number;
  readonly cued: number;
  readonly falseStarts: number;
  /** Cued reps with none of the faults looked for. */
  readonly clean: number;
  readonly catchHeld: number;
  readonly catchOf: number;
  /** Medians, ms. */
  readonly mediansMs: Readonly<Partial<Record<CourseDuration, number>>>;
  /** Asymmetry of the cycle over mirrored targets, percent; `null` if there are none. */
  readonly sidesPercent: number | null;
}

/** Whether a rep has none of the faults looked for: those watched, or, when none was, any that was seen. */
export const isClean = (reading: RepReading, watched: readonly Fault[]): boolean =>
  hasNoneOf(reading, watched.length > 0 ? watched : SEEN_FAULTS);

const timesOf = (readings: readonly RepReading[], name: DurationName): number[] =>
  readings.flatMap(({ durations }) => durations[name]?.ms ?? []);

function sidesPercent(counted: readonly RepReading[], targets: readonly Target[]): number | null {
  const { left, right } = mirroredLetters(targets);
  const [l, r] = [left, right].map((letters) =>
    timesOf(
      counted.filter(({ rep }) => letters.includes(rep.target)),
      'cycle',
    ),
  );
  return l && r && l.length >= 2 && r.length >= 2 ? asymmetryPercent(median(l), median(r)) : null;
}

/** The figures of a set. `watched` are the faults that were looked for; none means any. */
export function setFigures(
  readings: readonly RepReading[],
  targets: readonly Target[],
  watched: readonly Fault[],
): SetFigures {
  const { n, durations } = summariseSet(readings);
  const cued = cuedReps(readings);
  const { trials, held } = catchTrials(readings);
  const counted = readings.filter(({ leftOut }) => leftOut === null);
  const mediansMs: Partial<Record<CourseDuration, number>> = {};
  for (const name of COURSE_DURATIONS) {
    const summary = durations[name];
    if (summary) mediansMs[name] = summary.medianMs;
  }
  return {
    counted: n,
    cued: cued.length,
    falseStarts: cued.filter(({ faults }) => faults.includes('false start')).length,
    clean: cued.filter((reading) => isClean(reading, watched)).length,
    catchHeld: held,
    catchOf: trials,
    mediansMs,
    sidesPercent: sidesPercent(counted, targets),
  };
}
