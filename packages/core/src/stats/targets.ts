import { fitTravel, travelTime, type TravelFit } from '../budget/index.js';
import { distance, HOME, type Target } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { ok, type Result } from '../result/index.js';
import type { DurationName, RepReading } from '../timing/index.js';

/** An athlete's figures for one target. */
export interface TargetFigures {
  readonly letter: string;
  readonly n: number;
  readonly distanceM: number;
  /** Medians, ms; `null` if nothing was timed. */
  readonly responseMs: number | null;
  readonly travelMs: number | null;
  readonly recoveryMs: number | null;
}

const middle = (readings: readonly RepReading[], name: DurationName): number | null => {
  const times = readings.flatMap(({ durations }) => durations[name]?.ms ?? []);
  return times.length > 0 ? median(times) : null;
};

/** Figures of each called target, over counted reps. */
export function targetFigures(
  readings: readonly RepReading[],
  targets: readonly Target[],
): TargetFigures[] {
  return targets.flatMap(({ letter, at }) => {
    const own = readings.filter(({ rep, leftOut }) => rep.target === letter && !leftOut);
    if (own.length === 0) return [];
    return [
      {
        letter,
        n: own.length,
        distanceM: distance(HOME, at),
        responseMs: middle(own, 'response'),
        travelMs: middle(own, 'travel'),
        recoveryMs: middle(own, 'recovery'),
      },
    ];
  });
}

/** An athlete's travel line, with how much each target deviates from it. */
export interface TravelLine {
  readonly fit: TravelFit;
  /** Median travel minus the line's, ms, by letter; positive if slower than the distance explains. */
  readonly residualsMs: ReadonlyMap<string, number>;
  /** Standard error of that, ms: the scatter of single reps around the line over √n. */
  readonly sureToMs: ReadonlyMap<string, number>;
}

/**
 * An athlete's travel line through all timed reps from first move to arrival, and each target's deviation from it.
 * @returns a problem if there are too few reps or distances for a line
 */
export function travelLine(
  readings: readonly RepReading[],
  targets: readonly Target[],
): Result<TravelLine> {
  const ways = readings.flatMap(({ rep, durations, leftOut }) => {
    const target = targets.find(({ letter }) => letter === rep.target);
    return target && durations.travel && !leftOut
      ? [
          {
            letter: rep.target,
            distanceM: distance(HOME, target.at),
            timeS: durations.travel.ms / 1000,
          },
        ]
      : [];
  });
  const fit = fitTravel(ways);
  if (!fit.ok) return fit;
  const figures = targetFigures(readings, targets).flatMap(({ travelMs, ...each }) =>
    travelMs === null ? [] : [{ ...each, travelMs }],
  );
  return ok({
    fit: fit.value,
    residualsMs: new Map(
      figures.map(({ letter, distanceM, travelMs }) => [
        letter,
        travelMs - 1000 * travelTime(distanceM, fit.value),
      ]),
    ),
    sureToMs: new Map(
      figures.map(({ letter, n }) => [letter, (2 * 1000 * fit.value.residualSdS) / Math.sqrt(n)]),
    ),
  });
}
