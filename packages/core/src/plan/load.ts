import { mean } from '../numeric/index.js';
import { MOVEMENTS, type MovementCounts } from '../pattern/index.js';

/** How hard a session was, as somebody says it afterwards: 0 nothing at all, 10 the most there is (Foster et al. 2001). */
export const EFFORT = [0, 10] as const;

/** A week of an athlete's. */
export interface WeekLoad {
  /** Its first day, YYYY-MM-DD. */
  readonly monday: string;
  /** In sessions and at home, min. */
  readonly minutes: number;
  /** Sum of minutes × effort over what the effort was said of; `null` before the first such. */
  readonly effort: number | null;
  /** Of timed sets; `null` before the first. */
  readonly movements: MovementCounts | null;
}

/** What of a week is held against the weeks before it. */
export const LOAD_FIGURES = ['effort', ...MOVEMENTS] as const;
export type LoadFigure = (typeof LOAD_FIGURES)[number];

/** Weeks that this one is held against. */
export const WEEKS_BEFORE = 4;
/** More than this over their mean is pointed out, as a share of it (handbook 8). */
export const MOST_RISE = 0.3;

/** A figure that has jumped: a prompt to look, not a prediction of injury. */
export interface LoadRise {
  readonly figure: LoadFigure;
  readonly now: number;
  /** Mean of the four weeks before. */
  readonly usual: number;
}

const figureOf = ({ effort, movements }: WeekLoad, figure: LoadFigure): number | null =>
  figure === 'effort' ? effort : (movements?.[figure] ?? null);

/**
 * What of this week is more than 30 % over the mean of the four weeks before it (handbook 8). Nothing is
 * said of a figure that was not kept in all of them, or was 0 in all of them. What jumped most comes first.
 * @param weeks of an athlete without a gap, the oldest first; the last is this one
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
