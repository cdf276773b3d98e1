import { COURSE_DURATIONS, type CourseSet } from '../stats/index.js';

/** What a row of the table of sets says beside the figures. */
export interface SetTableSet extends CourseSet {
  readonly athlete: string;
  readonly pattern: string;
  readonly outcome: string;
}

/** A column of the table of sets, as its data dictionary has it. */
export interface SetColumn {
  readonly name: string;
  readonly unit: string;
  readonly meaning: string;
  /** `null` is an empty cell: not measured. */
  readonly cell: (set: SetTableSet) => string | number | null;
}

/** The columns of a table of sets, one row a set; also its data dictionary. */
export const SET_COLUMNS: readonly SetColumn[] = [
  { name: 'set_id', unit: '', meaning: 'The set (UUID).', cell: ({ setId }) => setId },
  {
    name: 'set_started_at',
    unit: 'ISO 8601, UTC',
    meaning: 'When the set started.',
    cell: ({ atMs }) => new Date(atMs).toISOString(),
  },
  {
    name: 'day',
    unit: '',
    meaning: 'Calendar day where the set was run.',
    cell: ({ day }) => day,
  },
  { name: 'athlete', unit: '', meaning: "The athlete's name.", cell: ({ athlete }) => athlete },
  { name: 'pattern', unit: '', meaning: 'The footwork pattern.', cell: ({ pattern }) => pattern },
  {
    name: 'pattern_version',
    unit: '',
    meaning: 'Its version; only sets of one version are compared.',
    cell: ({ patternVersion }) => patternVersion,
  },
  { name: 'rung', unit: '', meaning: 'Rung of the ladder, from 1.', cell: ({ rung }) => rung },
  {
    name: 'source',
    unit: '',
    meaning: 'What timed it: hand, sensor, film, simulated or none.',
    cell: ({ source }) => source,
  },
  {
    name: 'sense',
    unit: '',
    meaning: 'Whether cues were heard or only seen.',
    cell: ({ sense }) => sense,
  },
  {
    name: 'counted_reps',
    unit: 'reps',
    meaning: 'Reps that take part in the medians.',
    cell: ({ figures }) => figures.counted,
  },
  {
    name: 'cued_reps',
    unit: 'reps',
    meaning: 'Plain reps that were cued and not struck out.',
    cell: ({ figures }) => figures.cued,
  },
  {
    name: 'false_starts',
    unit: 'reps',
    meaning: 'First moves sooner than the limit after the cue.',
    cell: ({ figures }) => figures.falseStarts,
  },
  {
    name: 'clean_reps',
    unit: 'reps',
    meaning: 'Cued reps without a fault that was looked for.',
    cell: ({ figures }) => figures.clean,
  },
  {
    name: 'catches_held',
    unit: 'trials',
    meaning: 'Catch trials in which the athlete held still.',
    cell: ({ figures }) => (figures.catchOf === 0 ? null : figures.catchHeld),
  },
  {
    name: 'catch_trials',
    unit: 'trials',
    meaning: 'Catch trials of the set.',
    cell: ({ figures }) => figures.catchOf,
  },
  ...COURSE_DURATIONS.map((name): SetColumn => ({
    name: `${name}_median_ms`,
    unit: 'ms',
    meaning: `Median ${name} of the counted reps. Empty when it was not timed.`,
    cell: ({ figures }) => {
      const ms = figures.mediansMs[name];
      return ms === undefined ? null : Math.round(ms);
    },
  })),
  {
    name: 'sides_percent',
    unit: '%',
    meaning: 'Left against right over mirrored targets, of the cycle; above 0 the left is slower.',
    cell: ({ figures }) =>
      figures.sidesPercent === null ? null : Math.round(10 * figures.sidesPercent) / 10,
  },
  {
    name: 'outcome',
    unit: '',
    meaning: 'Held against its rung: passed, not passed, too close to call, too few reps.',
    cell: ({ outcome }) => outcome,
  },
];

/** The data dictionary of the table of sets, as rows of column, unit, meaning. */
export const setDictionary = (): string[][] =>
  SET_COLUMNS.map(({ name, unit, meaning }) => [name, unit, meaning]);
