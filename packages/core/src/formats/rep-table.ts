import { GATED_DURATIONS, type GatedDuration } from '../pattern/index.js';
import type { RepVerdicts } from '../progress/index.js';
import {
  DURATION_NAMES,
  endsOf,
  EVENT_NAMES,
  eventOf,
  type DurationName,
  type EventName,
  type RepReading,
  type Verdict,
} from '../timing/index.js';

/** What a row of the rep table says about the set it comes from. */
export interface RepTableSet {
  readonly setId: string;
  /** ISO 8601, UTC. */
  readonly startedAt: string;
  readonly athlete: string;
  readonly pattern: string;
  readonly rung: number;
}

type Cell = string | number | null;

/** A column of the table of reps, as its data dictionary has it. */
export interface RepColumn {
  readonly name: string;
  readonly unit: string;
  readonly meaning: string;
  /** `null` is an empty cell: not measured, or not so. */
  readonly cell: (set: RepTableSet, reading: RepReading, verdicts: RepVerdicts) => Cell;
}

const snake = (name: string): string => name.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

const eventColumn = (name: EventName): RepColumn => ({
  name: `${snake(name)}_at_ms`,
  unit: 'ms',
  meaning: `Time of ${name} on the set's clock, which starts at 0 with the set.`,
  cell: (_, { rep }) => eventOf(rep.events, name)?.atMs ?? null,
});

function durationColumns(name: DurationName): RepColumn[] {
  const [from, to] = endsOf(name);
  return [
    {
      name: `${snake(name)}_ms`,
      unit: 'ms',
      meaning: `${to} minus ${from}. Empty when either was not timed.`,
      cell: (_, { durations }) => {
        const duration = durations[name];
        return duration ? Math.round(duration.ms) : null;
      },
    },
    {
      name: `${snake(name)}_sd_ms`,
      unit: 'ms',
      meaning: `Standard deviation of the timing error of ${snake(name)}_ms.`,
      cell: (_, { durations }) => {
        const duration = durations[name];
        return duration ? Math.round(duration.sdMs) : null;
      },
    },
  ];
}

/** How a rep stands against a limit, by the names it has everywhere. */
const AGAINST_LIMIT: Readonly<Record<Verdict, string>> = {
  pass: 'inside',
  fail: 'over',
  'too close to call': 'too close to call',
};

const limitColumns = (name: GatedDuration): RepColumn[] => [
  {
    name: `${name}_limit_ms`,
    unit: 'ms',
    meaning: `Limit of its rung and target that ${name}_ms is held against. Empty without one.`,
    cell: (_, __, verdicts) => verdicts[name]?.limitMs ?? null,
  },
  {
    name: `${name}_against_limit`,
    unit: '',
    meaning: `inside or over when at least 95 % sure, its timing error counted in; else too close to call. Empty when ${name} was not timed, has no limit, or the rep does not count.`,
    cell: (_, __, verdicts) => {
      const judged = verdicts[name];
      return judged ? AGAINST_LIMIT[judged.verdict] : null;
    },
  },
];

/** The columns of a rep table, one row a rep; also its data dictionary. */
export const REP_COLUMNS: readonly RepColumn[] = [
  { name: 'set_id', unit: '', meaning: 'The set (UUID).', cell: (set) => set.setId },
  {
    name: 'set_started_at',
    unit: 'ISO 8601, UTC',
    meaning: 'When the set started.',
    cell: (set) => set.startedAt,
  },
  { name: 'athlete', unit: '', meaning: "The athlete's name.", cell: (set) => set.athlete },
  { name: 'pattern', unit: '', meaning: 'The footwork pattern.', cell: (set) => set.pattern },
  { name: 'rung', unit: '', meaning: 'Rung of the ladder, from 1.', cell: (set) => set.rung },
  {
    name: 'rep',
    unit: '',
    meaning: 'Which cue of the set, from 1.',
    cell: (_, { rep }) => rep.ordinal,
  },
  {
    name: 'target',
    unit: '',
    meaning: 'Letter of the target cued.',
    cell: (_, { rep }) => rep.target,
  },
  {
    name: 'trial',
    unit: '',
    meaning: 'plain, catch (no cue came), switch (the cue changed) or freeze (called to a stop).',
    cell: (_, { trial }) => trial,
  },
  {
    name: 'left_out_because',
    unit: '',
    meaning:
      'Why the rep is not averaged: struck out, catch, switch, freeze, false start, missed or short of home. Empty when it is.',
    cell: (_, { leftOut }) => leftOut,
  },
  {
    name: 'faults',
    unit: '',
    meaning: 'Faults of the rep, separated by "; ".',
    cell: (_, { faults }) => faults.join('; ') || null,
  },
  {
    name: 'late_cue_right',
    unit: '',
    meaning:
      'yes or no: whether what appeared at arrival was answered rightly. Empty when unmarked.',
    cell: (_, { rep }) =>
      rep.marks?.lateRight === undefined ? null : rep.marks.lateRight ? 'yes' : 'no',
  },
  {
    name: 'sources',
    unit: '',
    meaning: 'Where the event times come from: hand, sensor, film, simulated; separated by "; ".',
    cell: (_, { rep }) => [...new Set(rep.events.map(({ source }) => source))].join('; '),
  },
  ...EVENT_NAMES.map(eventColumn),
  {
    name: 'coach_events_at_ms',
    unit: 'ms',
    meaning:
      'Events of the coach\'s own on the set\'s clock: name, time, and after ± the standard deviation of its error; separated by "; ".',
    cell: (_, { rep }) =>
      (rep.marks?.coachEvents ?? [])
        .map(({ name, atMs, sdMs }) => `${name} ${Math.round(atMs)} ±${Math.round(sdMs)}`)
        .join('; ') || null,
  },
  ...DURATION_NAMES.flatMap(durationColumns),
  ...GATED_DURATIONS.flatMap(limitColumns),
];

/** Columns of the data dictionary itself. */
export const REP_DICTIONARY_HEADER = ['column', 'unit', 'meaning'] as const;

/** The data dictionary as rows under `REP_DICTIONARY_HEADER`. */
export const repDictionary = (): string[][] =>
  REP_COLUMNS.map(({ name, unit, meaning }) => [name, unit, meaning]);
