import type { Pattern } from '../pattern/index.js';
import { rungOf } from '../pattern/index.js';
import { agreementOn, type Agreement, type AgreementState } from './agreements.js';
import {
  needKey,
  needsOfTargets,
  painRestrictions,
  unreadyFor,
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

/** A coach went ahead on a day, `YYYY-MM-DD`, although something stood against a pattern. */
export interface GoAhead {
  readonly patternId: string;
  readonly day: string;
  /** Keys of what stood against it, see `againstKeys`. */
  readonly against: readonly string[];
}

/** What is known of an athlete that a drill must be held against. */
export interface Minded {
  readonly restrictions: readonly Restriction[];
  readonly looks: readonly Looked[];
  readonly agreements: readonly Agreement[];
  readonly goAheads: readonly GoAhead[];
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
 * restrictions on the same day only, and never of what a clinician has to clear.
 */
export function beforeDrill(minded: Minded, drill: ComingDrill): BeforeDrill {
  const { pattern, patternId, rung, day, splits } = drill;
  const went = minded.goAheads.filter((one) => one.patternId === patternId);
  const wentAgainst = new Set(went.flatMap(({ against }) => against));
  const wentToday = new Set(went.flatMap((one) => (one.day === day ? one.against : [])));
  const restrictions = [...minded.restrictions, ...painRestrictions(minded.looks)].filter(
    (restriction) =>
      holdsOn(restriction, day) &&
      (restriction.clinician || !wentToday.has(restrictionKey(restriction))),
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
    stoppedRungs: pattern.rungs
      .map(({ number }) => number)
      .filter((number) => stopsOf(pattern, number, restrictions).length > 0),
    mayOverrule: !against.some(({ clinician }) => clinician),
    unready: unreadyFor(needs, minded.looks).filter((one) => !wentAgainst.has(unreadyKey(one))),
    agreement: isOpen && !wentAgainst.has(agreementKey(agreement)) ? agreement : null,
  };
}
