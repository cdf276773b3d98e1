import type { Random } from '@orthokin/core/cue';
import { normalCdf } from '@orthokin/core/numeric';
import {
  isItBetter,
  NO_SQUAD,
  squadForm,
  type Change,
  type CourseSet,
  type SquadForm,
} from '@orthokin/core/stats';
import { shareOf, type Finding } from './aims.js';
import { madeCourse, type Made } from './courses.js';

/** So many days a side of those there are, at most. */
const MOST_A_SIDE = 3;

const daysASide = (days: number): number =>
  Math.min(MOST_A_SIDE, Math.max(1, Math.floor(days / 2)));

function spans(sets: readonly CourseSet[], days: number, setsADay: number) {
  const side = daysASide(days) * setsADay;
  return [sets.slice(0, side), sets.slice(-side)] as const;
}

function changeOf(sets: readonly CourseSet[], made: Made, squad: SquadForm): Change {
  const [before, after] = spans(sets, made.days, made.setsADay);
  const better = isItBetter(before, after, sets, 'cycle', squad);
  if (typeof better === 'string') throw new Error(better);
  return better.change;
}

/** The same test by somebody who knows both spreads for certain. */
function knownToAll({ changeMs, worthwhileMs }: Change, made: Made, medianMs: number): boolean {
  const days = daysASide(made.days);
  const variance = (2 / days) * (made.form ** 2 + made.scatter ** 2 / made.setsADay);
  const sd = medianMs * Math.sqrt(variance);
  return normalCdf((-worthwhileMs - changeMs) / sd) >= 0.95 && Math.abs(changeMs) > 1.959964 * sd;
}

/** Athletes a squad's day form is read from; they train as the others do. */
const SQUAD = 25;

const squadOf = (made: Made, random: Random): SquadForm => ({
  // What the others differ by is not asked here: the worthwhile change stays the athlete's own.
  ...NO_SQUAD,
  dayForm: squadForm(
    Array.from({ length: SQUAD }, () =>
      madeCourse({ ...made, change: 0, days: Math.max(8, made.days) }, random),
    ),
  ).dayForm,
});

/** So many squads share the athletes of one scenario: one squad's luck is not everyone's. */
const SQUADS = 40;

export function changesOf(
  made: Made,
  athletes: number,
  withSquad: boolean,
  random: Random,
): readonly { readonly change: Change; readonly isKnown: boolean }[] {
  return Array.from({ length: SQUADS }, () => {
    const squad = withSquad ? squadOf(made, random) : NO_SQUAD;
    return Array.from({ length: Math.ceil(athletes / SQUADS) }, () => {
      const sets = madeCourse(made, random);
      const change = changeOf(sets, made, squad);
      return { change, isKnown: knownToAll(change, made, change.beforeMs) };
    });
  }).flat();
}

const named = ({ form, days, setsADay }: Made, withSquad: boolean): string =>
  `form ${(100 * form).toFixed(0)} %, ${days} days, ${setsADay} sets a day${withSquad ? ', squad known' : ''}`;

/** From so many days on no more than 5 in 100 may be told a change that is none. */
const AIMED_FROM_DAYS = 3;
const AIMED_FORM = { alone: 0.02, withSquad: 0.04 } as const;

export function falseAlarms(
  made: Made,
  athletes: number,
  withSquad: boolean,
  random: Random,
): Finding[] {
  const found = changesOf({ ...made, change: 0 }, athletes, withSquad, random);
  const most = withSquad ? AIMED_FORM.withSquad : AIMED_FORM.alone;
  const isAimed = made.days >= AIMED_FROM_DAYS && made.form <= most + 1e-9;
  const clearly = shareOf(found, ({ change }) => change.words.startsWith('clearly'));
  const said = shareOf(found, ({ change }) => change.words !== 'no clear change');
  const what = `no change, ${named(made, withSquad)}`;
  return [
    {
      what: `${what}: clearly`,
      share: clearly,
      of: found.length,
      ...(isAimed && { atMost: 0.05 }),
    },
    {
      what: `${what}: clearly or probably`,
      ...{ share: said, of: found.length, ...(isAimed && { atMost: 0.15 }) },
    },
  ];
}

/** Three days a side out of so many ask for four fifths of the finds of a test that knows all. */
const FINDS_FROM_DAYS = 8;
const FINDS_SHARE = 0.8;

export function finds(made: Made, athletes: number, withSquad: boolean, random: Random): Finding[] {
  const found = changesOf(made, athletes, withSquad, random);
  const isAimed = withSquad && made.days >= FINDS_FROM_DAYS;
  const own = shareOf(found, ({ change }) => change.words === 'clearly faster');
  const known = shareOf(found, ({ isKnown }) => isKnown);
  const what = `change ${(100 * made.change).toFixed(0)} %, ${named(made, withSquad)}`;
  return [
    { what: `${what}: found by who knows both spreads`, share: known, of: found.length },
    {
      what: `${what}: found`,
      ...{ share: own, of: found.length, ...(isAimed && { atLeast: FINDS_SHARE * known }) },
    },
  ];
}
