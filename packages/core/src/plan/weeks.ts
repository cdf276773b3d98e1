import { DAY_MS, dayNumber } from '../stats/index.js';
import type { Block } from './block.js';
import { fitted } from './fit.js';
import type { Session } from './session.js';

/** Themes of weeks (handbook 8). */
export const THEMES = [
  'test',
  'one zone',
  'another zone',
  'sequences',
  'everything together',
  'other',
] as const;
export type Theme = (typeof THEMES)[number];

/** Kinds of weeks: a lighter one has shorter sessions, one that is off has none. */
export const WEEK_KINDS = ['usual', 'lighter', 'off'] as const;
export type WeekKind = (typeof WEEK_KINDS)[number];

/** Most weeks of a programme. */
export const MOST_WEEKS = 26;
/** Bounds of a week's aim for practice at home, min. */
export const HOME_MINUTES = [0, 600] as const;
/** Longest words on a week, in characters. */
export const LONGEST_WEEK_NOTE = 200;

/** A week of a programme. */
export interface ProgrammeWeek {
  readonly theme: Theme;
  readonly kind: WeekKind;
  /** Practice at home to aim at, min. */
  readonly homeMinutes: number;
  /** In the coach's words. */
  readonly note: string;
}

/** Several weeks of training for some athletes. */
export interface Programme {
  readonly name: string;
  /** Its first day, a Monday, YYYY-MM-DD. */
  readonly startsOn: string;
  readonly athleteIds: readonly string[];
  readonly weeks: readonly ProgrammeWeek[];
}

/** A default week. */
export const usualWeek = (theme: Theme): ProgrammeWeek => ({
  ...{ theme, kind: 'usual', homeMinutes: 40, note: '' },
});

/** Six weeks by zones: the first and the last with the same test, the fourth lighter. */
export const sixWeeks = (): ProgrammeWeek[] => [
  usualWeek('test'),
  usualWeek('one zone'),
  usualWeek('another zone'),
  { ...usualWeek('sequences'), kind: 'lighter' },
  usualWeek('everything together'),
  usualWeek('test'),
];

const dayAt = (number: number): string => new Date(number * DAY_MS).toISOString().slice(0, 10);

/** The calendar day a number of days later; negative is earlier. */
export const daysLater = (day: string, days: number): string => dayAt(dayNumber(day) + days);

/** Days since the Monday on or before a day: 0 on a Monday, 6 on a Sunday. */
export const weekdayOf = (day: string): number => (((dayNumber(day) + 3) % 7) + 7) % 7;

/** The Monday on or before a day. */
export const mondayOf = (day: string): string => daysLater(day, -weekdayOf(day));

/** Index of a day's week in a programme; `null` outside it. */
export function weekOf(
  { startsOn, weeks }: Pick<Programme, 'startsOn' | 'weeks'>,
  day: string,
): number | null {
  const place = Math.floor((dayNumber(day) - dayNumber(startsOn)) / 7);
  return place >= 0 && place < weeks.length ? place : null;
}

/** The same weekday of the same week in a programme that begins on another Monday; `null` outside the programme. */
export function inWeeksFrom(
  programme: Pick<Programme, 'startsOn' | 'weeks'>,
  startsOn: string,
  day: string,
): string | null {
  const place = weekOf(programme, day);
  return place === null ? null : daysLater(startsOn, 7 * place + weekdayOf(day));
}

/** Length of a lighter week's sessions, as a share. */
export const LIGHTER_SHARE = 0.6;

/** A session shortened for a lighter week; warm-up, cool-down and rests stay as they are. */
export function lighter<Own extends Session>(session: Own): Own {
  const minutes = Math.max(1, Math.round(LIGHTER_SHARE * session.minutes));
  return { ...session, minutes, blocks: fitted({ ...session, minutes }) };
}

/**
 * The days a programme trains on: these weekdays of every week that is not off.
 * @param weekdays 0 Monday to 6 Sunday
 */
export const trainingDays = (
  { startsOn, weeks }: Pick<Programme, 'startsOn' | 'weeks'>,
  weekdays: readonly number[],
): { readonly day: string; readonly week: ProgrammeWeek }[] =>
  weeks.flatMap((week, place) =>
    week.kind === 'off'
      ? []
      : [...weekdays]
          .sort((a, b) => a - b)
          .map((weekday) => ({ day: daysLater(startsOn, 7 * place + weekday), week })),
  );

/** The part of a planned session that programmes need. */
export type OfProgramme = Pick<Session, 'day' | 'minutes' | 'athleteIds' | 'blocks'> & {
  readonly id: string;
};

/** A problem of a programme. */
export type ProgrammeFinding =
  | { readonly finding: 'no test first' | 'no test last' }
  /** The first and the last test differ, so they cannot be compared. */
  | { readonly finding: 'tests differ'; readonly days: readonly [string, string] }
  | { readonly finding: 'trains while off'; readonly day: string }
  | { readonly finding: 'nothing in it'; readonly place: number };

const asTest = (blocks: readonly Block[]): string =>
  JSON.stringify(
    blocks
      .filter(({ kind }) => kind === 'cued drill')
      .map(({ how, sets, workS, restS, patternId }) => [how, sets, workS, restS, patternId]),
  );

/**
 * Problems of a programme to consider: first and last week should test the same thing in the same way (handbook 8).
 */
export function programmeFindings(
  programme: Programme,
  sessions: readonly OfProgramme[],
): ProgrammeFinding[] {
  const { weeks } = programme;
  const inWeek = (place: number): OfProgramme[] =>
    sessions
      .filter(({ day }) => weekOf(programme, day) === place)
      .sort((one, other) => one.day.localeCompare(other.day));
  const [first] = inWeek(0);
  const last = inWeek(weeks.length - 1).at(-1);
  const tested = weeks[0]?.theme === 'test' && weeks.at(-1)?.theme === 'test';
  return [
    ...(weeks[0]?.theme === 'test' ? [] : [{ finding: 'no test first' } as const]),
    ...(weeks.at(-1)?.theme === 'test' ? [] : [{ finding: 'no test last' } as const]),
    ...(tested && first && last && first !== last && asTest(first.blocks) !== asTest(last.blocks)
      ? [{ finding: 'tests differ', days: [first.day, last.day] } as const]
      : []),
    ...weeks.flatMap(({ kind }, place): ProgrammeFinding[] => {
      const own = inWeek(place);
      return kind === 'off'
        ? own.map(({ day }) => ({ finding: 'trains while off', day }))
        : own.length === 0
          ? [{ finding: 'nothing in it', place }]
          : [];
    }),
  ];
}
