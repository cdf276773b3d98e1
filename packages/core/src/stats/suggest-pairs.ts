import type { Target } from '../floor/index.js';
import { counterpartOf } from '../pattern/index.js';
import { likenessOf, type CourseSet } from './course.js';
import type { CourseDuration } from './set-figures.js';
import { mirroredLetters } from './sides.js';

/** Some sets of an athlete, and which of their targets; all if none are named. */
export interface PairSide {
  readonly setIds: readonly string[];
  readonly letters: readonly string[];
}

/** Kinds of comparisons worth making. */
export const PAIRS = ['first and newest', 'best and newest', 'left and right', 'mirror'] as const;
export type PairOf = (typeof PAIRS)[number];

/** Two sides to compare, and the duration to compare them in. */
export interface SuggestedPair {
  readonly of: PairOf;
  readonly sides: readonly [PairSide, PairSide];
  readonly duration: CourseDuration;
}

/** Newest sets taken together to compare sides, because one has too few reps of each. */
const SETS_FOR_SIDES = 4;

/** Durations in order of preference. */
const BY: readonly CourseDuration[] = ['cycle', 'response', 'recovery', 'travel', 'reaction'];

/**
 * What is worth comparing of an athlete, from sets alike in everything but the day: the kind and rung
 * of the newest. `targetsOf` says the targets a set was run on. Empty where nothing was timed.
 */
export function suggestPairs<Own extends CourseSet>(
  sets: readonly Own[],
  targetsOf: (set: Own) => readonly Target[],
): SuggestedPair[] {
  const inOrder = [...sets].sort((a, b) => a.atMs - b.atMs);
  const newest = inOrder.at(-1);
  if (!newest) return [];
  const alike = inOrder.filter((set) => likenessOf(set) === likenessOf(newest));
  const targets = targetsOf(newest);
  const duration = BY.find((name) => newest.figures.mediansMs[name] !== undefined);
  const [first] = alike;
  if (!duration || !first) return [];
  const whole = ({ setId }: CourseSet): PairSide => ({ setIds: [setId], letters: [] });
  const medianOf = ({ figures }: CourseSet) => figures.mediansMs[duration] ?? Infinity;
  const best = alike.reduce((a, b) => (medianOf(b) < medianOf(a) ? b : a));
  const recent = alike.slice(-SETS_FOR_SIDES).map(({ setId }) => setId);
  const { left, right } = mirroredLetters(targets);
  const across = (a: readonly string[], b: readonly string[]): SuggestedPair['sides'] => [
    { setIds: recent, letters: a },
    { setIds: recent, letters: b },
  ];
  const pair = (of: PairOf, sides: SuggestedPair['sides']): SuggestedPair => ({
    ...{ of, sides, duration },
  });
  return [
    ...(first === newest ? [] : [pair('first and newest', [whole(first), whole(newest)])]),
    ...(best === newest || best === first
      ? []
      : [pair('best and newest', [whole(best), whole(newest)])]),
    ...(left.length > 0 && right.length > 0 ? [pair('left and right', across(left, right))] : []),
    ...(left.length > 1
      ? left.flatMap((letter) => {
          const there = counterpartOf({ targets }, letter);
          return there ? [pair('mirror', across([letter], [there.letter]))] : [];
        })
      : []),
  ];
}
