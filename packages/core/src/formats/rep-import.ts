import { checkEvents, type TimedEvent, type TimingSource } from '../timing/index.js';
import {
  dayOf,
  matchHeads,
  namesAllowed,
  type Columns,
  type NearestName,
  type RowProblem,
} from './table-rows.js';

/** What a column of somebody else's table can be. */
export const IMPORT_FIELDS = [
  'athlete',
  'day',
  'set',
  'target',
  'reaction',
  'response',
  'recovery',
  'cycle',
] as const;
export type ImportField = (typeof IMPORT_FIELDS)[number];
const TIMES = ['reaction', 'response', 'recovery', 'cycle'] as const;
type TimeField = (typeof TIMES)[number];

/** Units of the times in a table. */
export const TIME_UNITS = ['seconds', 'milliseconds'] as const;
export type TimeUnit = (typeof TIME_UNITS)[number];

/** How a table's columns are to be read. */
export interface ImportSettings {
  readonly columns: Columns<ImportField>;
  readonly unit: TimeUnit;
  readonly source: TimingSource;
  /** Sd of one event's timing error, ms. */
  readonly sdMs: number;
  /** Today, `YYYY-MM-DD`: nothing was timed after it. */
  readonly lastDay: string;
  /** Names that are known, as the club writes them. */
  readonly athletes: readonly string[];
  readonly nearestName: NearestName;
  /** Letters of the targets in play. */
  readonly targets: readonly string[];
}

/** One row of a table, read. */
export interface ImportedRep {
  /** Row of the table, from 1, heads not counted. */
  readonly row: number;
  readonly target: string;
  /** Times after the cue, which is at 0. */
  readonly events: readonly TimedEvent[];
}

/** Reps of one athlete, one day, one set. */
export interface ImportedSet {
  readonly athlete: string;
  /** `YYYY-MM-DD`. */
  readonly day: string;
  readonly set: string;
  readonly reps: readonly ImportedRep[];
}

/** What a table holds: its reps, and the rows that could not be read. */
export interface ReadTable {
  readonly sets: readonly ImportedSet[];
  readonly problems: readonly RowProblem[];
}

const LONGEST_MS = 60_000;

const HINTS: Readonly<Record<ImportField, RegExp>> = {
  athlete: /athlete|player|name/i,
  day: /day|date|set_started_at/i,
  set: /^set|session|series/i,
  target: /target|letter|cone/i,
  reaction: /^react(?!.*sd)/i,
  response: /^response(?!.*sd)|arriv/i,
  recovery: /^recover(?!.*sd)/i,
  cycle: /^cycle(?!.*sd)|total/i,
};

/** Guesses which column is which, from the heads; what looks like nothing stays out. */
export const matchColumns = (heads: readonly string[]): Partial<Record<ImportField, number>> =>
  matchHeads(heads, HINTS);

/** A time in ms; `null` where the cell is empty, NaN where it is no time. */
function timeOf(text: string, unit: TimeUnit): number | null {
  if (text === '') return null;
  const value = Number(text.replace(',', '.')) * (unit === 'seconds' ? 1000 : 1);
  return value >= 0 && value <= LONGEST_MS ? value : NaN;
}

class RowReader {
  readonly problems: RowProblem[] = [];

  constructor(
    private readonly cells: readonly string[],
    private readonly row: number,
    private readonly settings: ImportSettings,
  ) {}

  text(field: ImportField): string {
    const column = this.settings.columns[field];
    return column === undefined ? '' : (this.cells[column] ?? '').trim();
  }

  refuse(field: string, given: string, allowed: string): void {
    this.problems.push({ row: this.row, field, given: given === '' ? 'nothing' : given, allowed });
  }

  oneOf(field: ImportField, known: readonly string[]): string {
    const text = this.text(field);
    const match = known.find((each) => each.toLowerCase() === text.toLowerCase());
    if (match === undefined)
      this.refuse(field, text, namesAllowed(text, known, this.settings.nearestName));
    return match ?? '';
  }

  day(): string {
    const text = this.text('day');
    const day = dayOf(text);
    if (day === null) this.refuse('day', text, 'a day like 2026-01-31 or 31.1.2026');
    else if (day > this.settings.lastDay)
      this.refuse('day', text, `a day up to ${this.settings.lastDay}`);
    return day ?? '';
  }

  times(): Readonly<Partial<Record<TimeField, number>>> {
    const times: Partial<Record<TimeField, number>> = {};
    for (const field of TIMES) {
      const text = this.text(field);
      const ms = timeOf(text, this.settings.unit);
      if (ms === null) continue;
      if (Number.isNaN(ms)) {
        const most = this.settings.unit === 'seconds' ? '60 seconds' : '60000 milliseconds';
        this.refuse(field, text, `a time from 0 to ${most}`);
      } else times[field] = ms;
    }
    return times;
  }
}

/** The events those durations lie between, the cue at 0. Recovery ends the cycle, so it needs it. */
function eventsOf(
  { reaction, response, recovery, cycle }: Partial<Record<TimeField, number>>,
  { source, sdMs }: ImportSettings,
): TimedEvent[] {
  const at = (name: TimedEvent['name'], ms: number | undefined): TimedEvent[] =>
    ms === undefined ? [] : [{ name, atMs: ms, sdMs: name === 'cue' ? 0 : sdMs, source }];
  const action = recovery !== undefined && cycle !== undefined ? cycle - recovery : undefined;
  return [
    ...at('cue', 0),
    ...at('firstMove', reaction),
    ...at('arrival', response),
    ...at('action', action),
    ...at('home', cycle),
  ];
}

/**
 * Reads a table of reps timed elsewhere, row by row. Every row is either whole in a set or named
 * with what is wrong with it: nothing is guessed and nothing left out silently.
 */
export function readRepRows(
  rows: readonly (readonly string[])[],
  settings: ImportSettings,
): ReadTable {
  const sets = new Map<string, { set: Omit<ImportedSet, 'reps'>; reps: ImportedRep[] }>();
  const problems: RowProblem[] = [];
  for (const [i, cells] of rows.entries()) {
    const row = i + 1;
    const reader = new RowReader(cells, row, settings);
    const athlete = reader.oneOf('athlete', settings.athletes);
    const target = reader.oneOf('target', settings.targets);
    const day = reader.day();
    const times = reader.times();
    if (reader.problems.length === 0) {
      if (Object.keys(times).length === 0) reader.refuse('times', '', `one of ${TIMES.join(', ')}`);
      if (times.recovery !== undefined && times.cycle === undefined)
        reader.refuse('cycle', '', 'a cycle where there is a recovery: it says when that ended');
    }
    const events = eventsOf(times, settings);
    const checked = checkEvents(events);
    if (reader.problems.length === 0 && !checked.ok)
      reader.refuse('times', checked.problem.given, checked.problem.allowed);
    problems.push(...reader.problems);
    if (reader.problems.length > 0) continue;
    const set = reader.text('set') || '1';
    const key = JSON.stringify([athlete, day, set]);
    const own = sets.get(key) ?? { set: { athlete, day, set }, reps: [] };
    own.reps.push({ row, target, events });
    sets.set(key, own);
  }
  return { sets: [...sets.values()].map(({ set, reps }) => ({ ...set, reps })), problems };
}
