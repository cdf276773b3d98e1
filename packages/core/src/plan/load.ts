import { mean } from '../numeric/index.js';
import { MOVEMENTS, type MovementCounts } from '../pattern/index.js';

/** Bounds of session effort, as athletes rate it afterwards: 0 nothing at all, 10 maximal (Foster et al. 2001). */
export const EFFORT = [0, 10] as const;

/** An athlete's week. */
export interface WeekLoad {
  /** Its first day, YYYY-MM-DD. */
  readonly monday: string;
  /** In sessions and at home, min. */
  readonly minutes: number;
  /** Sum of minutes × effort where effort was rated; `null` before the first rating. */
  readonly effort: number | null;
  /** From timed sets; `null` before the first. */
  readonly movements: MovementCounts | null;
}

/** Figures of a week that are compared with the weeks before. */
export const LOAD_FIGURES = ['effort', ...MOVEMENTS] as const;
export type LoadFigure = (typeof LOAD_FIGURES)[number];

/** How many weeks a week is compared with. */
export const WEEKS_BEFORE = 4;
/** A larger rise over their mean is pointed out, as a share (handbook 8). */
export const MOST_RISE = 0.3;

/** A figure that has risen: a reason to look, not a prediction of injury. */
export interface LoadRise {
  readonly figure: LoadFigure;
  readonly now: number;
  /** Mean of the four weeks before. */
  readonly usual: number;
}

const figureOf = ({ effort, movements }: WeekLoad, figure: LoadFigure): number | null =>
  figure === 'effort' ? effort : (movements?.[figure] ?? null);

/**
 * Figures of this week more than 30 % above the mean of the four weeks before (handbook 8), largest rise first. A
 * figure that was not recorded in all of them, or was always 0, is left out.
 * @param weeks of an athlete without gaps, oldest first; the last is this one
 */
export function loadRises(weeks: readonly WeekLoad[]): LoadRise[] {
  const before = weeks.slice(-1 - WEEKS_BEFORE, -1);
  const week = weeks.at(-1);
  if (!week || before.length < WEEKS_BEFORE) return [];
  const rises = LOAD_FIGURES.flatMap((figure): LoadRise[] => {
    const now = figureOf(week, figure);
    const kept = before.flatMap((one) => figureOf(one, figure) ?? []);
    if (now === null || kept.length < WEEKS_BEFORE) return [];
    const usual = mean(kept);
    return usual > 0 && now > (1 + MOST_RISE) * usual ? [{ figure, now, usual }] : [];
  });
  return rises.sort((one, other) => other.now / other.usual - one.now / one.usual);
}
