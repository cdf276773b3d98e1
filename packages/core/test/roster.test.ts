import {
  matchRoster,
  readRoster,
  ROSTER_FIELDS,
  ROSTER_HEADS,
  rosterRow,
} from '@orthokin/core/formats';
import { BODY_BOUNDS_M } from '@orthokin/core/people';
import fc from 'fast-check';

const read = (
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  known: readonly { name: string; bornOn?: string | null }[] = [],
) =>
  readRoster(rows, {
    ...{ columns: matchRoster(heads), known, unit: 'metres', today: '2026-11-27' },
  });

test('columns are matched by their heads, each once', () => {
  expect(matchRoster(['Player', 'Date of birth', 'Hand', 'Squad', 'Height (cm)', 'x'])).toEqual({
    ...{ name: 0, born: 1, hand: 2, squad: 3, height: 4 },
  });
  expect(matchRoster(['Nickname', 'Name'])).toEqual({ called: 0, name: 1 });
  expect(matchRoster(['', 'whatever'])).toEqual({});
});

test('a name is enough; the rest is read as people write it', () => {
  const heads = ['Name', 'Born', 'Hand', 'Height', 'Reach', 'Age band'];
  const { people, problems } = read(heads, [
    [' Tam  Okell ', '', '', '', '', ''],
    ['Nia Brask', '31.1.2014', 'L', '142', '5 ft 2 in', 'U13'],
    ['Ole Brask', '2010-06-01', 'right-handed', '1,71', '', 'adult'],
  ]);
  expect(problems).toEqual([]);
  expect(people[0]).toMatchObject({ name: 'Tam Okell', hand: 'right', bornOn: null, foot: null });
  expect(people[1]).toMatchObject({ bornOn: '2014-01-31', hand: 'left', ageBand: 'under 13' });
  expect(people[1]?.heightM).toBeCloseTo(1.42);
  expect(people[1]?.reachM).toBeCloseTo(1.575, 2);
  expect(people[2]?.heightM).toBeCloseTo(1.71);
});

test.each([
  ['no name', { Name: '' }, 'name'],
  ['a name without end', { Name: 'x'.repeat(10_000) }, 'name'],
  ['the 30th of February', { Born: '2014-02-30' }, 'born'],
  ['born tomorrow', { Born: '2026-11-28' }, 'born'],
  ['a third hand', { Hand: 'both' }, 'hand'],
  ['shoulders of 9 m', { Shoulders: '9 m' }, 'shoulders'],
  ['a height in words', { Height: 'tall' }, 'height'],
  ['a band nobody knows', { 'Age band': 'veteran' }, 'age band'],
])('%s keeps its row out and is named', (_, cells, field) => {
  const row: Record<string, string> = { Name: 'Ada', ...cells };
  const { people, problems } = read(Object.keys(row), [Object.values(row)]);
  expect(people).toEqual([]);
  expect(problems.map((problem) => [problem.row, problem.field])).toEqual([[1, field]]);
  expect(problems[0]?.given.length).toBeLessThan(80);
});

test('doubles are found by name and birth, in the club and in the table', () => {
  const known = [{ name: 'Ada Lund', bornOn: '2012-05-01' }, { name: 'Bo Ek' }];
  const rows = [
    ['ada  lund', '2012-05-01'],
    ['Ada Lund', '1980-01-01'],
    ['Bo Ek', '2001-01-01'],
    ['Cy Dahl', ''],
    ['CY DAHL', '2011-01-01'],
    ['Cy Dahl', '2012-01-01'],
  ];
  expect(read(['Name', 'Born'], rows, known).people.map(({ double }) => double)).toEqual([
    ...['in the club', null, 'in the club', null, 'in the table', 'in the table'],
  ]);
});

test('every row is a person or named, whatever is in it; lengths are a body’s', () => {
  const heads = [...ROSTER_FIELDS];
  const cell = fc.oneof(
    fc.string(),
    fc.constantFrom('Ada', 'left', '1.7', '170 cm', '2014-01-01', 'under 11', ''),
  );
  const row = fc.array(cell, { minLength: 0, maxLength: heads.length });
  fc.assert(
    fc.property(fc.array(row, { maxLength: 20 }), (rows) => {
      const { people, problems } = read(heads, rows);
      const seen = new Set([...people, ...problems].map((one) => one.row));
      expect(seen.size).toBe(rows.length);
      for (const person of people)
        for (const [name, [least, most]] of Object.entries(BODY_BOUNDS_M)) {
          const metres = new Map<string, unknown>(Object.entries(person)).get(name);
          if (metres === null) continue;
          expect(metres).toBeGreaterThanOrEqual(least);
          expect(metres).toBeLessThanOrEqual(most);
        }
    }),
  );
});

test('a table that was written is read back as it was', () => {
  const reach = fc.integer({ min: 30, max: 250 }).map((cm) => cm / 100);
  const text = fc.option(fc.constantFrom('Home sooner.', 'Tall', 'squash, tennis'));
  const person = fc.record({
    ...{ name: fc.constantFrom('Ada Lund', 'Bo Ek', "Cy D'Ahl"), called: text, sports: text },
    ...{ goal: text, note: text, bornOn: fc.option(fc.constantFrom('2014-01-31', '1999-12-01')) },
    ageBand: fc.constantFrom('under 11', 'adult'),
    hand: fc.constantFrom('left', 'right'),
    foot: fc.option(fc.constantFrom('left', 'right')),
    heightM: fc.option(fc.integer({ min: 80, max: 250 }).map((cm) => cm / 100)),
    shoulderM: fc.option(fc.integer({ min: 15, max: 70 }).map((cm) => cm / 100)),
    hipM: fc.option(fc.integer({ min: 12, max: 60 }).map((cm) => cm / 100)),
    reachM: fc.option(reach),
    reaches: fc
      .record({ hand: reach, racket: reach, blade: reach }, { requiredKeys: [] })
      .map((reaches) => (Object.keys(reaches).length > 0 ? reaches : null)),
  });
  fc.assert(
    fc.property(person, (one) => {
      const row = rosterRow(one as Parameters<typeof rosterRow>[0]).map((cell) =>
        String(cell ?? ''),
      );
      expect(read(ROSTER_HEADS, [row]).people[0]).toMatchObject(one);
    }),
  );
});
