import { mean } from '../numeric/index.js';
import { isItBetter } from './better.js';
import { isClear, type Change } from './change.js';
import { dayNumber, groupBy, standardTest, type CourseSet } from './course.js';
import type { CourseDuration } from './set-figures.js';
import type { SquadForm } from './squad-form.js';
import type { Spans } from './standing.js';

/** The phases a season shows; the last begins at the action. */
export const SEASON_PHASES = ['reaction', 'travel', 'load', 'recovery'] as const;
export type SeasonPhase = (typeof SEASON_PHASES)[number];

/** A band of a day's typical rep, ms from the cue; of several phases if no event separates them. */
export interface SeasonStretch {
  readonly phases: readonly SeasonPhase[];
  readonly fromMs: number;
  readonly toMs: number;
}

/** A training day on one rung: its sets of the standard test, or its other sets. */
export interface SeasonDay {
  /** `YYYY-MM-DD`. */
  readonly day: string;
  readonly rung: number;
  readonly sets: readonly CourseSet[];
  /** Days without a set before it; 0 for the first, and for a second rung on the same day. */
  readonly daysOff: number;
  /** Whether it repeats another day's set cue by cue. */
  readonly isTest: boolean;
  readonly stretches: readonly SeasonStretch[];
  /** Fastest and slowest set of the day by median cycle, ms; `null` without a cycle. */
  readonly spreadMs: readonly [number, number] | null;
}

/** Mean of the sets' medians, ms; `undefined` if none was timed. */
function middle(sets: readonly CourseSet[], duration: CourseDuration): number | undefined {
  const timesMs = sets.flatMap(({ figures }) => figures.mediansMs[duration] ?? []);
  return timesMs.length > 0 ? mean(timesMs) : undefined;
}

/**
 * The middle rep of some sets as stretches that meet: each edge is the sets' usual time from the cue to
 * first move, arrival, action and home. The action is that of the cycle less the recovery.
 */
function stretchesOf(sets: readonly CourseSet[]): SeasonStretch[] {
  const [cycle, recovery] = [middle(sets, 'cycle'), middle(sets, 'recovery')];
  const edges: readonly (readonly [SeasonPhase, number | undefined])[] = [
    ['reaction', middle(sets, 'reaction')],
    ['travel', middle(sets, 'response')],
    ['load', cycle === undefined || recovery === undefined ? undefined : cycle - recovery],
    ['recovery', cycle],
  ];
  const stretches: SeasonStretch[] = [];
  let fromMs = 0;
  let phases: SeasonPhase[] = [];
  for (const [phase, edgeMs] of edges) {
    phases.push(phase);
    if (edgeMs === undefined) continue;
    const toMs = Math.max(fromMs, edgeMs);
    stretches.push({ phases, fromMs, toMs });
    fromMs = toMs;
    phases = [];
  }
  return stretches;
}

const keyOf = ({ day, rung, setId }: CourseSet, tests: ReadonlySet<string>): string =>
  `${day} ${rung} ${tests.has(setId) ? 'test' : ''}`;

/**
 * Training days of sets of one kind, oldest first. A day on two rungs is two, in the order they were
 * run; so is one on which the standard test was run and other sets too.
 */
export function seasonOf(sets: readonly CourseSet[]): SeasonDay[] {
  const tests = new Set(standardTest(sets).map(({ setId }) => setId));
  const inOrder = [...sets].sort((a, b) => a.atMs - b.atMs);
  const days = [...groupBy(inOrder, (set) => keyOf(set, tests)).values()];
  let before: string | null = null;
  return days.flatMap((own): SeasonDay[] => {
    const [first] = own;
    if (!first) return [];
    const { day, rung } = first;
    const daysOff = before === null ? 0 : Math.max(0, dayNumber(day) - dayNumber(before) - 1);
    before = day;
    const cyclesMs = own.flatMap(({ figures }) => figures.mediansMs.cycle ?? []);
    return [
      {
        ...{ day, rung, sets: own, daysOff, stretches: stretchesOf(own) },
        isTest: tests.has(first.setId),
        spreadMs: cyclesMs.length > 0 ? [Math.min(...cyclesMs), Math.max(...cyclesMs)] : null,
      },
    ];
  });
}

/** Phases considered for where a change came from. */
const ASKED = ['reaction', 'travel', 'recovery'] as const;

/** A phase's change between two spans. */
export interface PhaseChange {
  readonly phase: (typeof ASKED)[number];
  readonly change: Change;
}

/**
 * Which phases a change between two spans came from, each asked for itself like any other change
 * (`isItBetter`); phases that were not timed in both spans are left out.
 */
export const whereItWent = (
  { before, after }: Pick<Spans, 'before' | 'after'>,
  all: readonly CourseSet[],
  squad: SquadForm,
): PhaseChange[] =>
  ASKED.flatMap((phase) => {
    const better = isItBetter(before, after, all, phase, squad);
    return typeof better === 'string' ? [] : [{ phase, change: better.change }];
  });

/** The phase with most of a change; `null` if none is clear or has at least half of it. */
export function mostly(cycle: Change, phases: readonly PhaseChange[]): PhaseChange | null {
  const [most] = [...phases].sort((a, b) =>
    cycle.changeMs < 0
      ? a.change.changeMs - b.change.changeMs
      : b.change.changeMs - a.change.changeMs,
  );
  if (!most || !isClear(most.change.words)) return null;
  return most.change.changeMs / cycle.changeMs >= 0.5 ? most : null;
}
