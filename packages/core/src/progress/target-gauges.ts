import { median, quantile } from '../numeric/index.js';
import { limitAt, TARGETED_DURATIONS, type Rung, type TargetedDuration } from '../pattern/index.js';

/** A target's times relative to its limit, ms. */
export interface TargetGauge {
  readonly target: string;
  readonly n: number;
  readonly medianMs: number;
  /** The interquartile range. */
  readonly middle: readonly [number, number];
  readonly limitMs: number;
}

/** Counted reps as columns; `null` if not timed. */
export interface TargetTimes extends Readonly<
  Record<TargetedDuration, readonly (number | null)[]>
> {
  readonly target: readonly string[];
  /** Index of each rep's set. */
  readonly set: readonly number[];
  readonly setIds: readonly string[];
}

/**
 * Each target in play with its own limit, for each distance-dependent duration that the rung limits, over the given
 * sets. Targets without timed reps are left out.
 */
export function targetGauges(
  reps: TargetTimes,
  rung: Pick<Rung, 'targets' | 'limitsMs' | 'targetLimits'>,
  setIds: readonly string[],
): { readonly gate: TargetedDuration; readonly targets: readonly TargetGauge[] }[] {
  const named = new Set(setIds);
  const isNamed = reps.set.map((index) => named.has(reps.setIds[index] ?? ''));
  return TARGETED_DURATIONS.flatMap((gate) => {
    const targets = rung.targets.flatMap((target): TargetGauge[] => {
      const limitMs = limitAt(rung, gate, target);
      const timed = reps[gate].flatMap((ms, i) =>
        ms !== null && reps.target[i] === target && isNamed[i] ? [ms] : [],
      );
      if (limitMs === undefined || timed.length === 0) return [];
      const middle = [quantile(timed, 0.25), quantile(timed, 0.75)] as const;
      return [{ ...{ target, limitMs, middle }, n: timed.length, medianMs: median(timed) }];
    });
    return targets.length > 0 ? [{ gate, targets }] : [];
  });
}
