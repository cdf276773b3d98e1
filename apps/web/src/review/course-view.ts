import type { AthleteCourseReply, CourseSetReply, PatternReply } from '@orthokin/contract';
import { limitsForAll, rungOf, type GatedDuration } from '@orthokin/core/pattern';
import {
  COURSE_DURATIONS,
  groupBy,
  kindOf,
  usualSpans,
  type CourseDuration,
  type Spans,
} from '@orthokin/core/stats';
import { useAddress } from '../parts/useAddress.js';
import { say } from '../words/review.js';

/** A kind of sets, which may be compared with each other, and its name. */
export interface Kind {
  readonly key: string;
  readonly sets: readonly CourseSetReply[];
  readonly pattern: PatternReply | undefined;
  readonly words: string;
}

/** The kinds of an athlete's sets, newest first. */
export function kindsOf({ sets, patterns }: AthleteCourseReply): Kind[] {
  return [...groupBy(sets, kindOf)]
    .map(([key, own]): Kind => {
      const [first] = own;
      const pattern = patterns.find(
        ({ id, version }) => id === first?.patternId && version === first.patternVersion,
      );
      const version =
        (pattern?.version ?? 1) > 1
          ? say('versionVersion', { version: pattern?.version ?? 1 })
          : '';
      const words = say('patternVersionSourceSenseCues', {
        pattern: pattern?.name ?? say('pattern'),
        version,
        source: first?.source ?? '',
        sense: first?.sense ?? '',
        eased: String(first?.eased ?? false),
      });
      return { key, sets: own, pattern, words };
    })
    .sort((a, b) => (b.sets.at(-1)?.atMs ?? 0) - (a.sets.at(-1)?.atMs ?? 0));
}

/** What to show of a course; kept in the address. */
export interface CourseView {
  readonly kind: string;
  readonly duration: CourseDuration;
  /** Days, `YYYY-MM-DD`; empty for the default spans. */
  readonly from: string;
  readonly until: string;
  readonly since: string;
  readonly to: string;
}

function viewOf(params: URLSearchParams): CourseView {
  const given = (name: string) => params.get(name) ?? '';
  return {
    kind: given('kind'),
    duration: COURSE_DURATIONS.find((name) => name === given('duration')) ?? 'cycle',
    ...{ from: given('from'), until: given('until'), since: given('since'), to: given('to') },
  };
}

export function useCourseView(): [CourseView, (change: Partial<CourseView>) => void] {
  const [params, change] = useAddress();
  return [
    viewOf(params),
    (part) =>
      change((now) => {
        const next = Object.entries({ ...viewOf(now), ...part });
        return new URLSearchParams(next.filter(([, value]) => value !== ''));
      }),
  ];
}

export interface ChosenSpans extends Omit<Spans, 'basis'> {
  readonly basis: Spans['basis'] | 'the days you chose';
}

/** The two spans to compare: the chosen ones, or the defaults. */
export function spansOf(
  sets: readonly CourseSetReply[],
  { from, until, since, to }: CourseView,
): ChosenSpans {
  if (from === '' || until === '' || since === '' || to === '') return usualSpans(sets);
  const within = (first: string, last: string) =>
    sets.filter(({ day }) => day >= first && day <= last);
  return { before: within(from, until), after: within(since, to), basis: 'the days you chose' };
}

/** A rung's limit for a duration, ms; `null` if it has none, or each target has its own. */
export const limitOf = (
  pattern: PatternReply | undefined,
  rung: number,
  duration: CourseDuration,
): number | null => {
  const found = pattern && rungOf(pattern, rung);
  return (found && limitsForAll(found)[duration as GatedDuration]) ?? null;
};
