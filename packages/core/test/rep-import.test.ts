import fc from 'fast-check';
import { matchColumns, readRepRows, type ImportSettings } from '@orthokin/core/formats';
import { durationsOf } from '@orthokin/core/timing';

const HEADS = ['Name', 'Date', 'Set', 'Target', 'Reaction', 'Response', 'Recovery', 'Cycle'];
const settings: ImportSettings = {
  columns: matchColumns(HEADS),
  unit: 'seconds',
  source: 'hand',
  sdMs: 45,
  lastDay: '2026-03-31',
  athletes: ['Amara Quill', 'Cass Ondry'],
  nearestName: (given, known) => known.find((name) => name[0] === given[0]) ?? null,
  targets: ['A', 'B'],
};
const GOOD = ['amara quill', '2026-03-01', '1', 'a', '0,25', '1.1', '0.9', '2.2'];
const withCell = (column: number, text: string) =>
  GOOD.map((cell, i) => (i === column ? text : cell));

test('columns are matched by their heads, each once, and our own table matches itself', () => {
  expect(matchColumns(HEADS)).toEqual({
    ...{ athlete: 0, day: 1, set: 2, target: 3 },
    ...{ reaction: 4, response: 5, recovery: 6, cycle: 7 },
  });
  const own = ['set_id', 'set_started_at', 'athlete', 'target', 'reaction_ms', 'reaction_sd_ms'];
  expect(matchColumns(own)).toEqual({ set: 0, day: 1, athlete: 2, target: 3, reaction: 4 });
  expect(matchColumns(['a', 'b'])).toEqual({});
});

test('a row becomes a rep whose durations are those of the row', () => {
  const { sets, problems } = readRepRows([GOOD], settings);
  expect(problems).toEqual([]);
  expect(sets).toMatchObject([{ athlete: 'Amara Quill', day: '2026-03-01', set: '1' }]);
  const durations = durationsOf(sets[0]?.reps[0]?.events ?? []);
  expect(durations.reaction).toEqual({ ms: 250, sdMs: 45 });
  expect(durations.response?.ms).toBeCloseTo(1100);
  expect(durations.recovery?.ms).toBeCloseTo(900);
  expect(durations.cycle?.ms).toBeCloseTo(2200);
});

test('any possible durations come out as they went in, in either unit', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 900 }),
      fc.integer({ min: 0, max: 2000 }),
      fc.integer({ min: 0, max: 2000 }),
      fc.integer({ min: 0, max: 3000 }),
      (reaction, travel, stay, recovery) => {
        const times = [reaction, reaction + travel, recovery, reaction + travel + stay + recovery];
        const rows = [[...GOOD.slice(0, 4), ...times.map(String)]];
        const { sets } = readRepRows(rows, { ...settings, unit: 'milliseconds' });
        const read = durationsOf(sets[0]?.reps[0]?.events ?? []);
        expect([read.reaction, read.response, read.recovery, read.cycle].map((d) => d?.ms)).toEqual(
          times,
        );
      },
    ),
  );
});

test('rows fall into sets by athlete, day and set; a table without sets has one a day', () => {
  const rows = [GOOD, withCell(2, '2'), withCell(0, 'Cass Ondry'), GOOD, withCell(1, '1.3.2026')];
  const { sets } = readRepRows(rows, settings);
  expect(sets.map(({ athlete, set, reps }) => [athlete, set, reps.map(({ row }) => row)])).toEqual([
    ['Amara Quill', '1', [1, 4, 5]],
    ['Amara Quill', '2', [2]],
    ['Cass Ondry', '1', [3]],
  ]);
});

test.each<[string, string[], string, string]>([
  ['nobody known', withCell(0, 'Jo'), 'athlete', 'Jo'],
  ['no such target', withCell(3, 'Q'), 'target', 'Q'],
  ['no day', withCell(1, '2026-13-01'), 'day', '2026-13-01'],
  ['a day that is not in the calendar', withCell(1, '2026-02-30'), 'day', '2026-02-30'],
  ['no time', withCell(4, 'fast'), 'reaction', 'fast'],
  ['a time below zero', withCell(5, '-1'), 'response', '-1'],
  ['a time in the wrong unit', withCell(7, '2200'), 'cycle', '2200'],
  ['a recovery without its cycle', withCell(7, ''), 'cycle', 'nothing'],
  ['a cycle shorter than its parts', withCell(7, '0.9'), 'times', 'action at 0 ms'],
  ['nothing timed', [...GOOD.slice(0, 4), '', '', '', ''], 'times', 'nothing'],
])('a bad row is named: %s', (_, row, field, given) => {
  const { sets, problems } = readRepRows([GOOD, row], settings);
  expect(problems).toHaveLength(1);
  expect(problems[0]).toMatchObject({ row: 2, field });
  expect(problems[0]?.given).toContain(given);
  expect(sets.flatMap(({ reps }) => reps.map((rep) => rep.row))).toEqual([1]);
});

describe('a name that nobody has', () => {
  const people = Array.from({ length: 40 }, (_, i) => `Player Number ${i + 1}`);
  const allowed = (given: string, athletes: readonly string[]) =>
    readRepRows([withCell(0, given)], { ...settings, athletes }).problems[0]?.allowed;

  test('is answered with the nearest, not with all forty', () => {
    expect(allowed('Amra Quil', ['Amara Quill', ...people])).toBe('Amara Quill?');
  });

  test('where none is near, with all that there are if they are few', () => {
    expect(allowed('Zed', settings.athletes)).toBe('Amara Quill, Cass Ondry');
    expect(allowed('Zed', people)).toBe('one of 40 known names');
    expect(allowed('', people)).toBe('one of 40 known names');
  });
});

test('a day that is still to come is refused', () => {
  const { problems } = readRepRows([withCell(1, '2027-03-01')], settings);
  expect(problems).toEqual([
    { row: 1, field: 'day', given: '2027-03-01', allowed: 'a day up to 2026-03-31' },
  ]);
});
