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

/** Kinds of restrictions. */
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

/** The movements each kind forbids; other kinds are about the listed movements, tags or the day. */
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

/** Restrictions that may concern one leg only. */
export const SIDED_RESTRICTIONS: readonly RestrictionKind[] = [
  'no hopping',
  'no turning',
  'no lunging',
  'no stopping on one leg',
];

/** Restrictions on the amount per day. */
export const DAILY_RESTRICTIONS = ['minutes a day', 'splits a day'] as const;

/** Tag of patterns with head contact. */
export const HEAD_CONTACT_TAG = 'head contact';

/** Largest daily limit. */
export const MOST_A_DAY = 1000;

/** A restriction: something an athlete may not do. */
export interface Restriction {
  readonly kind: RestrictionKind;
  /** The leg it is for; `null` for both. */
  readonly leg: Side | null;
  /** For "only what is listed": the list; otherwise empty. */
  readonly moves: readonly Move[];
  /** For a daily limit: minutes or split-steps; otherwise `null`. */
  readonly most: number | null;
  /** First and last day, `YYYY-MM-DD`; `null`: until it is lifted. */
  readonly from: string;
  readonly until: string | null;
  /** Only the clinician in charge may lift it, and nobody may override it. */
  readonly clinician: boolean;
}

/** Whether it holds on a day, `YYYY-MM-DD`. */
export const holdsOn = ({ from, until }: Restriction, day: string): boolean =>
  from <= day && (until === null || day <= until);

/** Whether a restriction forbids a movement. A movement of both legs is forbidden if one leg may not do it. */
export function forbids({ kind, leg, moves }: Restriction, demand: Demand): boolean {
  const forbidden =
    kind === 'only what is listed'
      ? MOVES.filter((move) => !moves.includes(move))
      : (FORBIDS[kind] ?? []);
  return (
    forbidden.includes(demand.move) && (leg === null || demand.leg === null || leg === demand.leg)
  );
}

/** Whether it concerns the feet, and so needs footwork to be laid. */
const isOfFeet = ({ kind }: Restriction): boolean =>
  kind === 'only what is listed' || FORBIDS[kind] !== undefined;

/** Why a target may not be trained. */
export interface Stop {
  /** Letter of the target. */
  readonly target: string;
  readonly restriction: Restriction;
  /** The forbidden demands of its leg; empty if no footwork is laid, so that nobody can tell. */
  readonly demands: readonly Demand[];
}

/** Cached demands of placements, since all rungs of a ladder use the same legs. */
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

/** The restrictions that stop a target, with the reasons. */
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

/** The pattern at a rung's scale. */
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

/** What may be done instead of a stopped rung. */
export interface Instead {
  /** The rung's targets that are not stopped. */
  readonly targets: readonly string[];
  /** Other rungs that are free, nearest below first. */
  readonly rungs: readonly number[];
  /** The largest floor scale at which the whole rung is free; `null` if none is. */
  readonly floorScale: number | null;
  /** Whether it may be walked through slowly. */
  readonly walk: boolean;
}

/** Smaller floors to try, as shares of the rung's. */
const SMALLER = [0.8, 0.6, 0.4] as const;
/** Movements that do not occur when walking through a pattern. */
const NOT_WALKED: readonly Move[] = ['split-step', 'hop', 'run'];

/** What may be done instead of a rung that restrictions stop. */
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

/** What an athlete did on a day. */
export interface DoneToday {
  readonly minutes: number;
  readonly splits: number;
}

/**
 * What is left of a day under daily limits, never below 0; `null` without a limit. Of several limits the strictest.
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
