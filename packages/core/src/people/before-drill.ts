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

/** A coach went ahead on a day, `YYYY-MM-DD`, although something stood against a pattern. */
export interface GoAhead {
  readonly patternId: string;
  readonly day: string;
  /** Keys of what stood against it, see `againstKeys`. */
  readonly against: readonly string[];
}

/** What is known of an athlete that a drill must be held against. */
export interface Minded {
  readonly restrictions: readonly (Restriction & Said)[];
  readonly looks: readonly (Looked & Said)[];
  readonly agreements: readonly Agreement[];
  readonly goAheads: readonly (GoAhead & Said)[];
  readonly underAge: boolean;
  /** Done on the day of the drill so far. */
  readonly done: DoneToday;
}

/** A drill that is about to start. */
export interface ComingDrill {
  readonly patternId: string;
  readonly pattern: Pattern;
  readonly rung: number;
  /** `YYYY-MM-DD`. */
  readonly day: string;
  /** Split-steps it asks for: one a rep. */
  readonly splits: number;
}

/** What stands against a drill, and what may be done. */
export interface BeforeDrill {
  /** Restrictions that stop it; empty where none does, or a coach went ahead against them today. */
  readonly stops: readonly Stop[];
  /** Restrictions of so much a day that it would break; as above. */
  readonly tooMuch: readonly Restriction[];
  /** What is left of the day; `null` where nothing says. */
  readonly left: { readonly minutes: number | null; readonly splits: number | null };
  /** Where something stops it: what may be done in its place. */
  readonly instead: Instead | null;
  /** Numbers of the ladder's rungs that restrictions stop. */
  readonly stoppedRungs: readonly number[];
  /** A coach may go ahead with a reason; not against what a clinician has to clear. */
  readonly mayOverrule: boolean;
  /** Checks never looked at, not passed or hurting, unless a coach went ahead with them before. */
  readonly unready: readonly Unready[];
  /** A guardian's agreement to training that is needed and is not there; said once. */
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
 * Whether restrictions that hold on a day, `YYYY-MM-DD`, stop every rung of a pattern; a pattern
 * without rungs is not stopped. Nobody's word to go ahead is looked at: it is for a drill.
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

/** What stands against a drill, a key each: what a go-ahead says it went ahead against. */
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
 * Holds a drill against what an athlete may do, can do, and has leave to do. What a coach went ahead
 * against is not said again: of checks and agreements for this pattern until they change, of
 * restrictions on the same day only, never of what was written down after it, and never of what a
 * clinician has to clear.
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
