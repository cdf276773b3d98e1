import { ageOn, type AgeBand } from './age.js';

/** What a guardian can agree to, each separately. */
export const AGREED_TO = ['training', 'filming'] as const;
export type AgreedTo = (typeof AGREED_TO)[number];

/** How it was given. */
export const AGREEMENT_WAYS = ['on paper', 'by message', 'in person'] as const;
export type AgreementWay = (typeof AGREEMENT_WAYS)[number];

/** A guardian's agreement. Days are `YYYY-MM-DD`. */
export interface Agreement {
  readonly to: AgreedTo;
  readonly day: string;
  /** The last day it holds; `null` if it has no end. */
  readonly until: string | null;
}

/** Younger athletes need a guardian's agreement, years. */
const OF_AGE = 18;

/** Whether somebody is under age on a day: by their date of birth if known, or else their age band. */
export const isUnderAge = (ageBand: AgeBand, bornOn: string | null, day: string): boolean =>
  bornOn === null ? ageBand !== 'adult' : ageOn(bornOn, day) < OF_AGE;

/** How an agreement stands. */
export type AgreementState =
  | { readonly state: 'not needed' | 'missing' }
  | { readonly state: 'holds'; readonly until: string | null }
  | { readonly state: 'ran out'; readonly until: string };

/** The state of an agreement on a day; of several the one that holds longest counts. */
export function agreementOn(
  to: AgreedTo,
  agreements: readonly Agreement[],
  underAge: boolean,
  day: string,
): AgreementState {
  if (!underAge) return { state: 'not needed' };
  const given = agreements.filter((one) => one.to === to && one.day <= day);
  if (given.some(({ until }) => until === null)) return { state: 'holds', until: null };
  const [latest] = given.flatMap(({ until }) => until ?? []).sort((a, b) => (a < b ? 1 : -1));
  if (latest === undefined) return { state: 'missing' };
  return latest >= day ? { state: 'holds', until: latest } : { state: 'ran out', until: latest };
}
