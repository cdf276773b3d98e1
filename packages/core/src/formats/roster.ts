import { parseLength, type LengthUnit, type Side } from '../floor/index.js';
import {
  AGE_BANDS,
  BODY_BOUNDS_M,
  HELD,
  LONGEST_ATHLETE_NOTE,
  LONGEST_CALLED,
  LONGEST_GOAL,
  LONGEST_NAME,
  LONGEST_SPORT,
  type AgeBand,
  type BodyLength,
  type Held,
  type Reaches,
} from '../people/index.js';
import { dayOf, matchHeads, type Columns, type RowProblem } from './table-rows.js';

/** What a column of a table of people can be. */
export const ROSTER_FIELDS = [
  'name',
  'called',
  'born',
  'age band',
  'hand',
  'foot',
  'height',
  'shoulders',
  'hips',
  'reach',
  ...HELD.map((held) => `reach with ${held}` as const),
  'sports',
  'goal',
  'note',
  'squad',
] as const;
export type RosterField = (typeof ROSTER_FIELDS)[number];

const HINTS: Readonly<Record<RosterField, RegExp>> = {
  // Before what their heads would be taken for.
  'reach with hand': /reach.*(hand|glove)/i,
  'reach with racket': /reach.*rac(k|qu)et/i,
  'reach with paddle': /reach.*paddle/i,
  'reach with bat': /reach.*bat/i,
  'reach with blade': /reach.*(blade|foil|sword)/i,
  called: /called|nick|short name/i,
  name: /name|athlete|player|member/i,
  born: /born|birth|dob/i,
  'age band': /age|band|category/i,
  hand: /hand|plays/i,
  foot: /foot/i,
  height: /height|tall/i,
  shoulders: /shoulder/i,
  hips: /hip/i,
  reach: /reach/i,
  sports: /sport/i,
  goal: /goal|aim|wants/i,
  note: /note|remark|comment/i,
  squad: /squad|group|team/i,
};

/** Guesses which column is which, from the heads; what looks like nothing stays out. */
export const matchRoster = (heads: readonly string[]): Partial<Record<RosterField, number>> =>
  matchHeads(heads, HINTS);

/** Somebody who is in the club already. */
export interface Known {
  readonly name: string;
  /** `YYYY-MM-DD`. */
  readonly bornOn?: string | null | undefined;
}

/** Somebody a table tells of; lengths in metres, what it does not say is `null`. */
export interface RosterPerson extends Readonly<Record<BodyLength, number | null>> {
  /** Row of the table, from 1, heads not counted. */
  readonly row: number;
  readonly name: string;
  readonly called: string | null;
  readonly bornOn: string | null;
  readonly ageBand: AgeBand;
  readonly hand: Side;
  readonly foot: Side | null;
  readonly reaches: Reaches | null;
  readonly sports: string | null;
  readonly goal: string | null;
  readonly note: string | null;
  readonly squad: string | null;
  /** The same name, and no other birth: in the club already, or further up in the table. */
  readonly double: 'in the club' | 'in the table' | null;
}

/** The people of a table, and the rows that stay out. */
export interface Roster {
  readonly people: readonly RosterPerson[];
  readonly problems: readonly RowProblem[];
}

/** A bare number over this is in centimetres: nobody is three metres tall. */
const MOST_BARE_M = 3;

const nameKey = (name: string): string => name.toLowerCase().replaceAll(/\s+/g, ' ');

const SIDE_OF: readonly (readonly [RegExp, Side])[] = [
  [/^l(eft)?(-?handed)?$/i, 'left'],
  [/^r(ight)?(-?handed)?$/i, 'right'],
];

class RowReader {
  readonly problems: RowProblem[] = [];

  constructor(
    private readonly cells: readonly string[],
    private readonly row: number,
    private readonly columns: Columns<RosterField>,
    private readonly unit: LengthUnit,
    private readonly today: string,
  ) {}

  private cell(field: RosterField): string {
    const column = this.columns[field];
    return column === undefined ? '' : (this.cells[column] ?? '').trim();
  }

  private refuse(field: RosterField, given: string, allowed: string): null {
    const shown = given.length > 60 ? `${given.slice(0, 57)}…` : given || 'nothing';
    this.problems.push({ row: this.row, field, given: shown, allowed });
    return null;
  }

  text(field: RosterField, longest: number): string | null {
    const text = this.cell(field);
    if (text.length > longest) return this.refuse(field, text, `at most ${longest} characters`);
    return text === '' ? null : text;
  }

  name(): string {
    if (this.cell('name') === '') this.refuse('name', '', 'a name');
    return (this.text('name', LONGEST_NAME) ?? '').replaceAll(/\s+/g, ' ');
  }

  side(field: 'hand' | 'foot'): Side | null {
    const text = this.cell(field);
    if (text === '') return null;
    return (
      SIDE_OF.find(([pattern]) => pattern.test(text))?.[1] ??
      this.refuse(field, text, 'left or right')
    );
  }

  born(): string | null {
    const text = this.cell('born');
    if (text === '') return null;
    const day = dayOf(text);
    return day !== null && day >= '1900-01-01' && day <= this.today
      ? day
      : this.refuse('born', text, `a day like 2014-01-31 or 31.1.2014, up to ${this.today}`);
  }

  band(): AgeBand | null {
    const text = this.cell('age band');
    if (text === '') return null;
    const band = AGE_BANDS.find((one) => one === text.toLowerCase().replace(/^u(?=\d)/, 'under '));
    return band ?? this.refuse('age band', text, AGE_BANDS.join(', '));
  }

  length(field: RosterField, name: BodyLength): number | null {
    const text = this.cell(field);
    if (text === '') return null;
    const [least, most] = BODY_BOUNDS_M[name];
    const allowed = `a length from ${least} m to ${most} m`;
    const read = parseLength(text, this.unit);
    if (!read.ok) return this.refuse(field, text, allowed);
    const isBare = /^[\d.,]+$/.test(text) && this.unit === 'metres';
    const metres = isBare && read.value > MOST_BARE_M ? read.value / 100 : read.value;
    return metres >= least && metres <= most ? metres : this.refuse(field, text, allowed);
  }

  reaches(): Reaches | null {
    const known = HELD.flatMap((held) => {
      const metres = this.length(`reach with ${held}`, 'reachM');
      return metres === null ? [] : [[held, metres] as const];
    });
    return known.length > 0 ? Object.fromEntries(known) : null;
  }
}

/** Whether two may be the same person: the same name, and no birth that says otherwise. */
const mayBeSame = (a: Known, b: Known): boolean =>
  nameKey(a.name) === nameKey(b.name) && (!a.bornOn || !b.bornOn || a.bornOn === b.bornOn);

/**
 * Reads a table of people, row by row: a name is enough. Every row is either a person or named with what
 * is wrong with it; doubles are found by name and birth, and left to whoever looks.
 * @param rows cells as text, without the heads
 * @param settings the columns; who is known; the unit of bare lengths; today, `YYYY-MM-DD`
 */
export function readRoster(
  rows: readonly (readonly string[])[],
  {
    columns,
    known,
    unit,
    today,
  }: {
    readonly columns: Columns<RosterField>;
    readonly known: readonly Known[];
    readonly unit: LengthUnit;
    readonly today: string;
  },
): Roster {
  const people: RosterPerson[] = [];
  const problems: RowProblem[] = [];
  const inClub = groupByName(known);
  const inTable = new Map<string, Known[]>();
  for (const [i, cells] of rows.entries()) {
    const reader = new RowReader(cells, i + 1, columns, unit, today);
    const person = {
      ...{ row: i + 1, name: reader.name(), called: reader.text('called', LONGEST_CALLED) },
      ...{ bornOn: reader.born(), ageBand: reader.band() ?? ('adult' as const) },
      ...{ hand: reader.side('hand') ?? ('right' as const), foot: reader.side('foot') },
      heightM: reader.length('height', 'heightM'),
      shoulderM: reader.length('shoulders', 'shoulderM'),
      hipM: reader.length('hips', 'hipM'),
      reachM: reader.length('reach', 'reachM'),
      reaches: reader.reaches(),
      ...{ sports: reader.text('sports', LONGEST_SPORT), goal: reader.text('goal', LONGEST_GOAL) },
      ...{
        note: reader.text('note', LONGEST_ATHLETE_NOTE),
        squad: reader.text('squad', LONGEST_NAME),
      },
    };
    problems.push(...reader.problems);
    if (reader.problems.length > 0) continue;
    const key = nameKey(person.name);
    const isIn = (some: ReadonlyMap<string, readonly Known[]>) =>
      some.get(key)?.some((one) => mayBeSame(one, person)) ?? false;
    const double = isIn(inClub) ? 'in the club' : isIn(inTable) ? 'in the table' : null;
    inTable.set(key, [...(inTable.get(key) ?? []), person]);
    people.push({ ...person, double });
  }
  return { people, problems };
}

function groupByName(known: readonly Known[]): ReadonlyMap<string, Known[]> {
  const groups = new Map<string, Known[]>();
  for (const one of known) {
    const key = nameKey(one.name);
    const own = groups.get(key);
    if (own) own.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}

const reachCells = (reaches: Reaches | null) => {
  const cell = (held: Held) => reaches?.[held] ?? null;
  return {
    ...{ 'reach with hand': cell('hand'), 'reach with racket': cell('racket') },
    ...{ 'reach with paddle': cell('paddle'), 'reach with bat': cell('bat') },
    'reach with blade': cell('blade'),
  };
};

/** The heads of a table of people as it is written: all that can be read but the squad, of which there may be several. */
export const ROSTER_HEADS = ROSTER_FIELDS.filter((field) => field !== 'squad');

/** Somebody as a row under `ROSTER_HEADS`, lengths in metres: read again it is the same person. */
export function rosterRow(
  person: Omit<RosterPerson, 'row' | 'squad' | 'double'>,
): (string | number | null)[] {
  const cells: Readonly<Record<(typeof ROSTER_HEADS)[number], string | number | null>> = {
    name: person.name,
    called: person.called,
    born: person.bornOn,
    'age band': person.ageBand,
    hand: person.hand,
    foot: person.foot,
    height: person.heightM,
    shoulders: person.shoulderM,
    hips: person.hipM,
    reach: person.reachM,
    ...reachCells(person.reaches),
    sports: person.sports,
    goal: person.goal,
    note: person.note,
  };
  return ROSTER_HEADS.map((head) => cells[head]);
}
