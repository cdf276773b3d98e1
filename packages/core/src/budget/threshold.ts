import { median, quantile } from '../numeric/index.js';
import type { LimitSource, RecordKind } from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** Limits are set to the hundredth of a second: no coach's clock tells more. */
const STEP_MS = 10;
const FEWEST_RECORD_REPS = 8;
const BEST_QUARTILE = 0.25;

/** The limit that a source gives, ms; `coachMs` is the coach's own number. */
export function limitFrom(source: LimitSource, coachMs = NaN): number {
  const exact =
    source.kind === 'coach'
      ? coachMs
      : source.factor *
        (source.kind === 'budget'
          ? source.budgetMs
          : source.kind === 'record'
            ? source.recordMs
            : source.kind === 'own line'
              ? source.lineMs
              : source.reckonedMs);
  return source.kind === 'coach' ? exact : STEP_MS * Math.round(exact / STEP_MS);
}

/** The athlete's own record as a source: their best quartile, or their median, times a factor. */
export function recordOf(
  timesMs: readonly number[],
  of: RecordKind,
  factor: number,
): Result<Extract<LimitSource, { kind: 'record' }>> {
  if (timesMs.length < FEWEST_RECORD_REPS)
    return wrong('reps', timesMs.length, `at least ${FEWEST_RECORD_REPS} timed reps of one's own`);
  if (!(factor > 0)) return wrong('factor', factor, 'more than 0');
  const recordMs = of === 'median' ? median(timesMs) : quantile(timesMs, BEST_QUARTILE);
  return ok({ kind: 'record', of, recordMs, factor, n: timesMs.length });
}
