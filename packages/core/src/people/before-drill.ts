import type { Pattern } from '../pattern/index.js';
import { rungOf } from '../pattern/index.js';
import { agreementOn, type Agreement, type AgreementState } from './agreements.js';
import {
  hurting,
  needKey,
  needsOfTargets,
  painRestrictions,
  unreadyFor,
  whileItHurts,
  type Looked,
  type Unready,
} from './readiness.js';
import {
  allowedInstead,
  holdsOn,
  leftOfDay,
  stopsOf,
  type DoneToday,
  type Instead,
  type Restriction,
  type Stop,
} from './restrictions.js';

/** When something was said: epoch ms. */
export interface Said {
  readonly saidAt: number;
}

/** A coach's go-ahead on a day, `YYYY-MM-DD`, in spite of something. */
export interface GoAhead {
  readonly patternId: string;
  readonly day: string;
  /** Keys of what it overrides, see `againstKeys`. */
  readonly against: readonly string[];
}

/** What a drill has to be checked against. */
export interface Minded {
  readonly restrictions: readonly (Restriction & Said)[];
  readonly looks: readonly (Looked & Said)[];
  readonly agreements: readonly Agreement[];
  readonly goAheads: readonly (GoAhead & Said)[];
  readonly underAge: boolean;
  /** What was done earlier on the day of the drill. */
  readonly done: DoneToday;
}

/** A drill about to start. */
export interface ComingDrill {
  readonly patternId: string;
  readonly pattern: Pattern;
  readonly rung: number;
  /** `YYYY-MM-DD`. */
  readonly day: string;
  /** Number of split-steps: one per rep. */
  readonly splits: number;
}

/** What prevents a drill, and what is possible instead. */
export interface BeforeDrill {
  /** Restrictions that stop it; empty if there are none, or a coach overrode them today. */
  readonly stops: readonly Stop[];
  /** Daily limits it would exceed; likewise. */
  readonly tooMuch: readonly Restriction[];
  /** What is left of the day; `null` without a limit. */
  readonly left: { readonly minutes: number | null; readonly splits: number | null };
  /** If it is stopped: what may be done instead. */
  readonly instead: Instead | null;
  /** Numbers of the ladder's rungs that are stopped. */
  readonly stoppedRungs: readonly number[];
  /** Whether a coach may go ahead with a reason; not if a clinician has to clear it. */
  readonly mayOverrule: boolean;
  /** Checks that were never done, not passed, or hurt, unless a coach overrode them before. */
  readonly unready: readonly Unready[];
  /** A missing agreement to training; reported once. */
  readonly agreement: AgreementState | null;
}

const restrictionKey = ({ kind, leg }: Restriction): string =>
  leg === null ? kind : `${kind} ${leg}`;
const unreadyKey = (unready: Unready): string =>
  `${needKey(unready)}: ${unready.result ?? 'not looked at'}`;
const agreementKey = ({ state }: AgreementState): string => `agreement: ${state}`;

/** Numbers of a ladder's rungs that restrictions stop. */
const stoppedRungsOf = (pattern: Pattern, restrictions: readonly Restriction[]): number[] =>
  pattern.rungs
    .map(({ number }) => number)
    .filter((number) => stopsOf(pattern, number, restrictions).length > 0);

/**
 * Whether restrictions on a day, `YYYY-MM-DD`, stop every rung of a pattern; a pattern without rungs is not stopped.
 * Go-aheads are ignored, since they are for a single drill.
 */
export function isStoppedWhole(
  pattern: Pattern,
  { restrictions, looks }: Pick<Minded, 'restrictions' | 'looks'>,
  day: string,
): boolean {
  const now = [...restrictions, ...painRestrictions(looks)].filter((one) => holdsOn(one, day));
  return (
    pattern.rungs.length > 0 &&
    now.length > 0 &&
    stoppedRungsOf(pattern, now).length === pattern.rungs.length
  );
}

/** A key for everything that prevents a drill; go-aheads list those they override. */
export const againstKeys = ({
  stops,
  tooMuch,
  unready,
  agreement,
}: Pick<BeforeDrill, 'stops' | 'tooMuch' | 'unready' | 'agreement'>): string[] => [
  ...new Set([
    ...[...stops.map(({ restriction }) => restriction), ...tooMuch].map(restrictionKey),
    ...unready.map(unreadyKey),
    ...(agreement ? [agreementKey(agreement)] : []),
  ]),
];

/**
 * Checks a drill against restrictions, readiness checks and agreements. What a coach has overridden is not reported
 * again: checks and agreements for this pattern until they change; restrictions on the same day only; never anything
 * recorded afterwards, and never what a clinician has to clear.
 */
export function beforeDrill(minded: Minded, drill: ComingDrill): BeforeDrill {
  const { pattern, patternId, rung, day, splits } = drill;
  const went = minded.goAheads.filter((one) => one.patternId === patternId);
  const wentAgainst = new Set(went.flatMap(({ against }) => against));
  const wentTodayAgainst = (restriction: Restriction & Said): boolean =>
    went.some(
      (one) =>
        one.day === day &&
        one.saidAt > restriction.saidAt &&
        one.against.includes(restrictionKey(restriction)),
    );
  const pain = hurting(minded.looks).map((look) => ({
    ...whileItHurts(look),
    saidAt: look.saidAt,
  }));
  const restrictions = [...minded.restrictions, ...pain].filter(
    (restriction) =>
      holdsOn(restriction, day) && (restriction.clinician || !wentTodayAgainst(restriction)),
  );
  const stops = stopsOf(pattern, rung, restrictions);
  const left = leftOfDay(restrictions, minded.done);
  const tooMuch = restrictions.filter(
    ({ kind }) =>
      (kind === 'splits a day' && left.splits !== null && splits > left.splits) ||
      (kind === 'minutes a day' && left.minutes !== null && left.minutes <= 0),
  );
  const against = [...stops.map(({ restriction }) => restriction), ...tooMuch];
  const needs = needsOfTargets(pattern, rungOf(pattern, rung)?.targets ?? []);
  const agreement = agreementOn('training', minded.agreements, minded.underAge, day);
  const isOpen = agreement.state === 'missing' || agreement.state === 'ran out';
  return {
    ...{ stops, tooMuch, left },
    instead: stops.length === 0 ? null : allowedInstead(pattern, rung, restrictions),
    stoppedRungs: stoppedRungsOf(pattern, restrictions),
    mayOverrule: !against.some(({ clinician }) => clinician),
    unready: unreadyFor(needs, minded.looks).filter((one) => !wentAgainst.has(unreadyKey(one))),
    agreement: isOpen && !wentAgainst.has(agreementKey(agreement)) ? agreement : null,
  };
}
