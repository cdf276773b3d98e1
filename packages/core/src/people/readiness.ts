import type { Side } from '../floor/index.js';
import { legOf, type Pattern } from '../pattern/index.js';
import { demandsOf, type Demand, type Move } from './moves.js';
import type { Restriction, RestrictionKind } from './restrictions.js';

/** Readiness checks before a pattern is taught, simplest first. */
export const READINESS_CHECKS = [
  'squat and hold',
  'move in a squat',
  'side-step',
  'stop on one leg',
  'hop and stick',
  'split-step landing',
  'turn and run',
  'backpedal',
] as const;
export type ReadinessCheck = (typeof READINESS_CHECKS)[number];

/** Checks done for each leg separately. */
export const SIDED_CHECKS: readonly ReadinessCheck[] = ['stop on one leg', 'hop and stick'];

/** Results of a check. */
export const READINESS_RESULTS = ['yes', 'with help', 'not yet', 'hurts'] as const;
export type ReadinessResult = (typeof READINESS_RESULTS)[number];

/** A check's result on a day, `YYYY-MM-DD`. */
export interface Looked {
  readonly check: ReadinessCheck;
  /** For a check of each leg; otherwise `null`. */
  readonly leg: Side | null;
  readonly result: ReadinessResult;
  readonly day: string;
}

/** A check that is needed. */
export type Need = Pick<Looked, 'check' | 'leg'>;

/** The check each movement needs, if any. */
const NEEDS: Readonly<Partial<Record<Move, ReadinessCheck>>> = {
  'split-step': 'split-step landing',
  hop: 'hop and stick',
  run: 'move in a squat',
  'side-step': 'side-step',
  'moving back': 'backpedal',
  turn: 'turn and run',
  lunge: 'move in a squat',
  'stop on one leg': 'stop on one leg',
};

/** A text that identifies a check and its leg. */
export const needKey = ({ check, leg }: Need): string => (leg === null ? check : `${check} ${leg}`);

/** All checks for all legs, in order. */
export const ALL_NEEDS: readonly Need[] = READINESS_CHECKS.flatMap((check): Need[] =>
  SIDED_CHECKS.includes(check)
    ? [
        { check, leg: 'left' },
        { check, leg: 'right' },
      ]
    : [{ check, leg: null }],
);

/** Checks that demands need, in order. A stance always needs the squat. */
export function needsOf(demands: readonly Demand[]): Need[] {
  const wanted = new Set(['squat and hold']);
  for (const { move, leg } of demands) {
    const check = NEEDS[move];
    if (check) wanted.add(needKey({ check, leg: SIDED_CHECKS.includes(check) ? leg : null }));
  }
  return ALL_NEEDS.filter((need) => wanted.has(needKey(need)));
}

/** Checks that some targets need; a target without footwork needs none yet. */
export const needsOfTargets = (pattern: Pattern, letters: readonly string[]): Need[] =>
  needsOf(
    letters.flatMap((letter) =>
      demandsOf(pattern.stance, legOf(pattern, letter)?.placements ?? []),
    ),
  );

/** The last result of each check, by its key; of the same day the later in the list counts. */
export function newestLooks<T extends Looked>(looks: readonly T[]): ReadonlyMap<string, T> {
  const newest = new Map<string, T>();
  for (const look of looks) {
    const key = needKey(look);
    const known = newest.get(key);
    if (!known || known.day <= look.day) newest.set(key, look);
  }
  return newest;
}

/** A check that is not passed. */
export interface Unready extends Need {
  /** `null` if it was never done. */
  readonly result: 'not yet' | 'hurts' | null;
}

/** Needed checks that were never done, not passed, or hurt. */
export function unreadyFor(needs: readonly Need[], looks: readonly Looked[]): Unready[] {
  const newest = newestLooks(looks);
  return needs.flatMap(({ check, leg }): Unready[] => {
    const result = newest.get(needKey({ check, leg }))?.result ?? null;
    return result === null || result === 'not yet' || result === 'hurts'
      ? [{ check, leg, result }]
      : [];
  });
}

/** The restriction while a check hurts. */
const WHILE_IT_HURTS: Readonly<Record<ReadinessCheck, RestrictionKind>> = {
  'squat and hold': 'no lunging',
  'move in a squat': 'no lunging',
  'side-step': 'no side-stepping',
  'stop on one leg': 'no stopping on one leg',
  'hop and stick': 'no hopping',
  'split-step landing': 'no jumping',
  'turn and run': 'no turning',
  backpedal: 'no moving back',
};

/** Checks whose last result is that it hurts. */
export const hurting = <T extends Looked>(looks: readonly T[]): T[] =>
  [...newestLooks(looks).values()].filter(({ result }) => result === 'hurts');

/** The restriction from a check that hurts; lifted by a later check. */
export const whileItHurts = ({ check, leg, day }: Looked): Restriction => ({
  ...{ kind: WHILE_IT_HURTS[check], leg, moves: [], most: null },
  ...{ from: day, until: null, clinician: false },
});

/** Restrictions from all checks that hurt. */
export const painRestrictions = (looks: readonly Looked[]): Restriction[] =>
  hurting(looks).map(whileItHurts);
