import type { Side } from '../floor/index.js';
import { onScale } from '../footwork/index.js';
import {
  legOf,
  rungOf,
  type Pattern,
  type Placement,
  type Rung,
  type Standing,
} from '../pattern/index.js';
import { demandsOf, MOVES, type Demand, type Move } from './moves.js';

/** What somebody may not do now. */
export const RESTRICTION_KINDS = [
  'no jumping',
  'no hopping',
  'no running',
  'no moving back',
  'no turning',
  'no side-stepping',
  'no lunging',
  'no stopping on one leg',
  'straight lines only',
  'only what is listed',
  'no head contact',
  'minutes a day',
  'splits a day',
] as const;
export type RestrictionKind = (typeof RESTRICTION_KINDS)[number];

/** What each forbids of the feet; the others are held against the list, the tags or the day. */
const FORBIDS: Readonly<Partial<Record<RestrictionKind, readonly Move[]>>> = {
  'no jumping': ['split-step', 'hop'],
  'no hopping': ['hop'],
  'no running': ['run'],
  'no moving back': ['moving back'],
  'no turning': ['turn'],
  'no side-stepping': ['side-step'],
  'no lunging': ['lunge'],
  'no stopping on one leg': ['stop on one leg'],
  'straight lines only': ['side-step', 'turn', 'bent path'],
};

/** Restrictions that can be for one leg alone. */
export const SIDED_RESTRICTIONS: readonly RestrictionKind[] = [
  'no hopping',
  'no turning',
  'no lunging',
  'no stopping on one leg',
];

/** Restrictions of so much a day. */
export const DAILY_RESTRICTIONS = ['minutes a day', 'splits a day'] as const;

/** A pattern with this tag has head contact in it. */
export const HEAD_CONTACT_TAG = 'head contact';

/** Most of a day's minutes or splits that a restriction can allow. */
export const MOST_A_DAY = 1000;

/** Something an athlete may not do now. */
export interface Restriction {
  readonly kind: RestrictionKind;
  /** The leg it is for; `null` for both. */
  readonly leg: Side | null;
  /** Of "only what is listed": the list. Else empty. */
  readonly moves: readonly Move[];
  /** Of so much a day: minutes, or splits. Else `null`. */
  readonly most: number | null;
  /** First and last day it holds, `YYYY-MM-DD`; `null` until it is lifted. */
  readonly from: string;
  readonly until: string | null;
  /** Nobody but the clinician in charge may lift it, and nobody may go ahead against it. */
  readonly clinician: boolean;
}

/** Whether it holds on a day, `YYYY-MM-DD`. */
export const holdsOn = ({ from, until }: Restriction, day: string): boolean =>
  from <= day && (until === null || day <= until);

/** Whether a restriction forbids a move. One that both legs bear is forbidden by one leg's rule. */
export function forbids({ kind, leg, moves }: Restriction, demand: Demand): boolean {
  const forbidden =
    kind === 'only what is listed'
      ? MOVES.filter((move) => !moves.includes(move))
      : (FORBIDS[kind] ?? []);
  return (
    forbidden.includes(demand.move) && (leg === null || demand.leg === null || leg === demand.leg)
  );
}

/** Whether it is about what the feet do, and so asks for feet to be laid. */
const isOfFeet = ({ kind }: Restriction): boolean =>
  kind === 'only what is listed' || FORBIDS[kind] !== undefined;

/** Why a target may not be trained now. */
export interface Stop {
  /** Letter of the target. */
  readonly target: string;
  readonly restriction: Restriction;
  /** What is forbidden of what its leg asks; empty where no feet are laid, so that nobody can tell. */
  readonly demands: readonly Demand[];
}

/** What placements ask, as long as somebody holds them: every rung of a ladder asks the same legs. */
const asked = new WeakMap<readonly Placement[], { stance: Standing; demands: Demand[] }>();

function demandsTo({ stance, legs }: Pattern, letter: string): Demand[] | null {
  const { placements } = legOf({ legs }, letter) ?? {};
  if (!placements || placements.length === 0) return null;
  const known = asked.get(placements);
  if (known?.stance === stance) return known.demands;
  const demands = demandsOf(stance, placements);
  asked.set(placements, { stance, demands });
  return demands;
}

/** Why a target is stopped, for each of the restrictions that stop it. */
function stopsAt(pattern: Pattern, target: string, restrictions: readonly Restriction[]): Stop[] {
  const all = demandsTo(pattern, target);
  return restrictions.flatMap((restriction): Stop[] => {
    if (restriction.kind === 'no head contact')
      return pattern.tags.includes(HEAD_CONTACT_TAG) ? [{ target, restriction, demands: [] }] : [];
    if (!isOfFeet(restriction)) return [];
    const demands = all?.filter((demand) => forbids(restriction, demand));
    return demands?.length === 0 ? [] : [{ target, restriction, demands: demands ?? [] }];
  });
}

/** The pattern as it is run on a rung. */
const asRun = (pattern: Pattern, { floorScale }: Rung): Pattern => onScale(pattern, floorScale);

/**
 * What stands against a rung, by target, for restrictions that hold now; empty when nothing does. A
 * target without feet is stopped by every restriction on feet: what nobody wrote down nobody can check.
 * @param rung its number, from 1; nothing stands against one that is not there
 */
export function stopsOf(
  pattern: Pattern,
  rung: number,
  restrictions: readonly Restriction[],
): Stop[] {
  const own = rungOf(pattern, rung);
  if (!own || restrictions.length === 0) return [];
  const run = asRun(pattern, own);
  return own.targets.flatMap((letter) => stopsAt(run, letter, restrictions));
}

/** What may be done in place of a rung that is stopped. */
export interface Instead {
  /** Targets of the rung that nothing stands against. */
  readonly targets: readonly string[];
  /** Other rungs that are free, the nearest below first. */
  readonly rungs: readonly number[];
  /** The largest share of the rung's floor on which all of it is free; `null` where none is. */
  readonly floorScale: number | null;
  /** It may be walked through: what is forbidden goes away when nobody hurries. */
  readonly walk: boolean;
}

/** Smaller floors that are tried, as shares of the rung's own. */
const SMALLER = [0.8, 0.6, 0.4] as const;
/** Gone when a pattern is walked position by position. */
const NOT_WALKED: readonly Move[] = ['split-step', 'hop', 'run'];

/** What may be done in place of a rung, under restrictions that stop it. */
export function allowedInstead(
  pattern: Pattern,
  rung: number,
  restrictions: readonly Restriction[],
): Instead {
  const own = rungOf(pattern, rung);
  const stops = stopsOf(pattern, rung, restrictions);
  const stopped = new Set(stops.map(({ target }) => target));
  const scaled = (share: number): Pattern => ({
    ...pattern,
    rungs: pattern.rungs.map((one) =>
      one.number === rung ? { ...one, floorScale: share * one.floorScale } : one,
    ),
  });
  const isFree = (tried: Pattern, number: number): boolean =>
    stopsOf(tried, number, restrictions).length === 0;
  return {
    targets: own?.targets.filter((letter) => !stopped.has(letter)) ?? [],
    rungs: pattern.rungs
      .map(({ number }) => number)
      .filter((number) => number !== rung && isFree(pattern, number))
      .sort(
        (a, b) => Number(a > rung) - Number(b > rung) || Math.abs(a - rung) - Math.abs(b - rung),
      ),
    floorScale: SMALLER.find((share) => isFree(scaled(share), rung)) ?? null,
    walk: stops.every(
      ({ demands }) => demands.length > 0 && demands.every(({ move }) => NOT_WALKED.includes(move)),
    ),
  };
}

/** What an athlete has done on a day. */
export interface DoneToday {
  readonly minutes: number;
  readonly splits: number;
}

/**
 * What is left of a day under restrictions of so much a day; `null` where none says, never below 0.
 * The least of several counts.
 */
export function leftOfDay(
  restrictions: readonly Restriction[],
  done: DoneToday,
): { readonly minutes: number | null; readonly splits: number | null } {
  const left = (kind: RestrictionKind, spent: number): number | null => {
    const allowed = restrictions.flatMap((one) => (one.kind === kind ? (one.most ?? []) : []));
    return allowed.length === 0 ? null : Math.max(0, Math.min(...allowed) - spent);
  };
  return {
    minutes: left('minutes a day', done.minutes),
    splits: left('splits a day', done.splits),
  };
}
