import type { Side } from '../floor/index.js';
import { legOf, type Pattern } from '../pattern/index.js';
import { demandsOf, type Demand, type Move } from './moves.js';
import type { Restriction, RestrictionKind } from './restrictions.js';

/** What is looked at before a pattern is taught, the simplest first. */
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

/** Looked at for each leg by itself. */
export const SIDED_CHECKS: readonly ReadinessCheck[] = ['stop on one leg', 'hop and stick'];

/** How it went. */
export const READINESS_RESULTS = ['yes', 'with help', 'not yet', 'hurts'] as const;
export type ReadinessResult = (typeof READINESS_RESULTS)[number];

/** How a check went on a day, `YYYY-MM-DD`. */
export interface Looked {
  readonly check: ReadinessCheck;
  /** Of a check that is for each leg; else `null`. */
  readonly leg: Side | null;
  readonly result: ReadinessResult;
  readonly day: string;
}

/** A check that something asks for. */
export type Need = Pick<Looked, 'check' | 'leg'>;

/** What each move needs; what is not named needs nothing of its own. */
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

/** One text for a check and its leg. */
export const needKey = ({ check, leg }: Need): string => (leg === null ? check : `${check} ${leg}`);

/** Every check there is, each leg by itself, in the order they are looked at. */
export const ALL_NEEDS: readonly Need[] = READINESS_CHECKS.flatMap((check): Need[] =>
  SIDED_CHECKS.includes(check)
    ? [
        { check, leg: 'left' },
        { check, leg: 'right' },
      ]
    : [{ check, leg: null }],
);

/** Checks that demands ask for, in the order they are looked at. A stance is always a squat. */
export function needsOf(demands: readonly Demand[]): Need[] {
  const wanted = new Set(['squat and hold']);
  for (const { move, leg } of demands) {
    const check = NEEDS[move];
    if (check) wanted.add(needKey({ check, leg: SIDED_CHECKS.includes(check) ? leg : null }));
  }
  return ALL_NEEDS.filter((need) => wanted.has(needKey(need)));
}

/** Checks that some of a pattern's targets ask for; a target without feet asks for none yet. */
export const needsOfTargets = (pattern: Pattern, letters: readonly string[]): Need[] =>
  needsOf(
    letters.flatMap((letter) =>
      demandsOf(pattern.stance, legOf(pattern, letter)?.placements ?? []),
    ),
  );

/** How each check went last, by its key; of one day the later in the list counts. */
export function newestLooks<T extends Looked>(looks: readonly T[]): ReadonlyMap<string, T> {
  const newest = new Map<string, T>();
  for (const look of looks) {
    const key = needKey(look);
    const known = newest.get(key);
    if (!known || known.day <= look.day) newest.set(key, look);
  }
  return newest;
}

/** A check that is not passed yet. */
export interface Unready extends Need {
  /** `null` where nobody ever looked. */
  readonly result: 'not yet' | 'hurts' | null;
}

/** What is needed and was never looked at, does not go yet, or hurts. */
export function unreadyFor(needs: readonly Need[], looks: readonly Looked[]): Unready[] {
  const newest = newestLooks(looks);
  return needs.flatMap(({ check, leg }): Unready[] => {
    const result = newest.get(needKey({ check, leg }))?.result ?? null;
    return result === null || result === 'not yet' || result === 'hurts'
      ? [{ check, leg, result }]
      : [];
  });
}

/** What may not be done while a check hurts. */
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

/** Checks that hurt when they were last looked at. */
export const hurting = <T extends Looked>(looks: readonly T[]): T[] =>
  [...newestLooks(looks).values()].filter(({ result }) => result === 'hurts');

/** What may not be done from the day a check hurts; it is lifted by looking again. */
export const whileItHurts = ({ check, leg, day }: Looked): Restriction => ({
  ...{ kind: WHILE_IT_HURTS[check], leg, moves: [], most: null },
  ...{ from: day, until: null, clinician: false },
});

/** Restrictions of checks that hurt when they were last looked at. */
export const painRestrictions = (looks: readonly Looked[]): Restriction[] =>
  hurting(looks).map(whileItHurts);
