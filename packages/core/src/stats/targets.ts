import { fitTravel, travelTime, type TravelFit } from '../budget/index.js';
import { distance, HOME, type Target } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { ok, type Result } from '../result/index.js';
import type { DurationName, RepReading } from '../timing/index.js';

/** One target as an athlete does it. */
export interface TargetFigures {
  readonly letter: string;
  readonly n: number;
  readonly distanceM: number;
  /** Medians, ms; `null` where nothing was timed. */
  readonly responseMs: number | null;
  readonly travelMs: number | null;
  readonly recoveryMs: number | null;
}

const middle = (readings: readonly RepReading[], name: DurationName): number | null => {
  const times = readings.flatMap(({ durations }) => durations[name]?.ms ?? []);
  return times.length > 0 ? median(times) : null;
};

/** Medians of each target that was called, over the reps that count. */
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

/** How long each target takes this athlete beyond what its distance explains. */
export interface TravelLine {
  readonly fit: TravelFit;
  /** Median travel less the line's, ms, by letter; above 0 slower than the distance explains. */
  readonly residualsMs: ReadonlyMap<string, number>;
  /** Sure to about this, ms: the spread of single ways round the line over √n. */
  readonly sureToMs: ReadonlyMap<string, number>;
}

/**
 * The athlete's own travel line through every timed way from first move to arrival, and what each
 * target's median lies off it. A problem where there are too few ways or distances for a line.
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
