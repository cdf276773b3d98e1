import type { CareBody, EmergencyBody } from '@orthokin/contract';
import { ALL_NEEDS, needKey, type ReadinessResult } from '@orthokin/core/people';
import type { DemoAthlete } from './cast.js';

const COACH = 'Mara Quint';
const DAY_MS = 24 * 60 * 60 * 1000;

/** A care record before it is assigned to an athlete. */
export type DemoSaid = Omit<CareBody, 'athleteId'>;

/** Readiness checks that did not simply go well. */
const OTHERWISE: Readonly<Record<string, Readonly<Record<string, ReadinessResult>>>> = {
  'Lotte Brandvane': { 'hop and stick left': 'not yet', 'turn and run': 'with help' },
  'Oskar Tvedmoor': { 'stop on one leg left': 'with help' },
  'Wren Hallowby': { backpedal: 'with help' },
};

/** The athlete whose guardian has not been asked yet. */
const NOBODY_ASKED = 'Juno Marlock';
const CALF = 'Lotte Brandvane';

const isChild = ({ ageBand }: DemoAthlete): boolean => ageBand !== 'adult';
const guardianOf = ({ name }: DemoAthlete): string => `Robin ${name.split(' ').slice(1).join(' ')}`;

/** A person's care records over the demo's eight weeks. */
export function demoCare(person: DemoAthlete, now: Date): DemoSaid[] {
  const { name } = person;
  const daysAgo = (days: number): Date => new Date(now.getTime() - days * DAY_MS);
  const dayOf = (at: Date): string => at.toISOString().slice(0, 10);
  const said = (days: number) => ({ by: COACH, at: daysAgo(days).toISOString() });
  const looks = ALL_NEEDS.map((need): DemoSaid => ({
    ...{ kind: 'check', ...said(56) },
    check: {
      ...need,
      result: OTHERWISE[name]?.[needKey(need)] ?? 'yes',
      day: dayOf(daysAgo(56)),
    },
  }));
  const agreed: DemoSaid[] =
    isChild(person) && name !== NOBODY_ASKED
      ? [
          {
            ...{ kind: 'agreement', ...said(55) },
            agreement: {
              ...{ to: 'training', guardian: guardianOf(person), way: 'on paper' },
              ...{ day: dayOf(daysAgo(55)), until: dayOf(daysAgo(-300)) },
            },
          },
        ]
      : [];
  const coming: DemoSaid[] =
    name === CALF
      ? (['no hopping', 'no moving back'] as const).map((kind) => ({
          ...{ kind: 'restriction', ...said(12) },
          restriction: {
            ...{
              kind,
              leg: kind === 'no hopping' ? ('left' as const) : null,
              moves: [],
              most: null,
            },
            ...{ from: dayOf(daysAgo(12)), until: null, clinician: kind === 'no hopping' },
            note: 'Calf strain on the left; the physiotherapist looks again in three weeks.',
          },
        }))
      : [];
  return [...looks, ...agreed, ...coming];
}

/** Emergency contact, with numbers that belong to nobody. */
export const demoEmergency = (person: DemoAthlete): EmergencyBody | null =>
  isChild(person)
    ? {
        contacts: [{ name: guardianOf(person), who: 'parent', phone: '01632 960 017' }],
        note: person.name === 'Wren Hallowby' ? 'Asthma: the spray is in the front pocket.' : '',
      }
    : null;

/** The demo club's squads and their members. */
export const DEMO_GROUPS: readonly (readonly [
  name: string,
  holds: (person: DemoAthlete) => boolean,
])[] = [
  ['Juniors', isChild],
  ['Adults', (person) => !isChild(person)],
];
