import fc from 'fast-check';
import {
  capital,
  commaList,
  dayWords,
  listWords,
  longDay,
  orList,
  percent,
  seconds,
  secondsWithUnit,
  semicolonList,
} from '../src/words/format.js';
import { amountWords } from '../src/words/app.js';
import { speaker } from '../src/words/say.js';

describe('lists', () => {
  test.each([
    [[], '', '', ''],
    [['A'], 'A', 'A', 'A'],
    [['A', 'B'], 'A and B', 'A or B', 'A, B'],
    [['A', 'B', 'C'], 'A, B, and C', 'A, B, or C', 'A, B, C'],
  ])('of %j', (items, ands, ors, commas) => {
    expect(listWords(items)).toBe(ands);
    expect(orList(items)).toBe(ors);
    expect(commaList(items)).toBe(commas);
  });

  test('leave out what there is nothing of, and keep a nought', () => {
    const items = ['A', null, undefined, false, '', 0, 7] as const;
    expect(commaList(items)).toBe('A, 0, 7');
    expect(semicolonList(items)).toBe('A; 0; 7');
  });
});

describe('times', () => {
  test.each([
    [0, '0.00'],
    [4, '0.00'],
    [5, '0.01'],
    [1234, '1.23'],
    [-1234, '-1.23'],
    [60_000, '60.00'],
  ])('%d ms is %s s', (ms, words) => {
    expect(seconds(ms)).toBe(words);
    expect(secondsWithUnit(ms)).toBe(`${words} s`);
  });

  test('a time, a limit in hundredths and their difference add up as shown', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9000 }),
        fc.integer({ min: 0, max: 900 }),
        (ms, limit) => {
          const [shown, of] = [Number(seconds(ms)), Number(seconds(10 * limit))];
          const over = Math.round(ms / 10) * 10 - 10 * limit;
          expect(shown - of).toBeCloseTo(Number(seconds(over)), 9);
        },
      ),
    );
  });

  test('shares are whole percents', () => {
    expect([0, 0.004, 0.005, 0.5, 1].map(percent)).toEqual(['0 %', '0 %', '1 %', '50 %', '100 %']);
  });
});

describe('days', () => {
  const now = new Date(2026, 2, 15, 12);
  const at = (day: number, hour = 12) => new Date(2026, 2, day, hour).toISOString();

  test.each([
    [15, 0, /^today$/i],
    [15, 23, /^today$/i],
    [14, 23, /^yesterday$/i],
    [13, 12, /13/],
    [1, 12, /1/],
  ])('day %d at %d h', (day, hour, words) => {
    expect(dayWords(at(day, hour), now)).toMatch(words);
  });

  test('a letter has the whole date, and nothing of an empty one', () => {
    expect(longDay('2026-01-31')).toMatch(/31/);
    expect(longDay('2026-01-31')).toMatch(/2026/);
    expect(longDay('')).toBe('');
  });
});

describe('an amount of time', () => {
  test.each([
    [60_000, 'a minute'],
    [90 * 60_000, '90 minutes'],
    [26 * 3_600_000, '26 hours'],
    [24 * 3_600_000, '24 hours'],
    [72 * 3_600_000, '3 days'],
  ])('%d ms is %s', (ms, words) => {
    expect(amountWords(ms)).toBe(words);
  });
});

describe('messages', () => {
  const say = speaker({
    plain: 'Nothing to fill in.',
    filled: '{who} runs {n, plural, one {# set} other {# sets}}.',
    quoted: "It''s {what}.",
    sharp: 'Rung # of many',
  });

  test('are filled in by name, and counted as people count', () => {
    expect(say('plain')).toBe('Nothing to fill in.');
    expect(say('filled', { who: 'Mara', n: 1 })).toBe('Mara runs 1 set.');
    expect(say('filled', { who: 'Mara', n: 3 })).toBe('Mara runs 3 sets.');
    expect(say('quoted', { what: 'late' })).toBe("It's late.");
    expect(say('sharp')).toBe('Rung # of many');
  });

  test('words of people are not read as messages', () => {
    fc.assert(
      fc.property(fc.string(), (who) => {
        expect(say('filled', { who, n: 2 })).toBe(`${who} runs 2 sets.`);
      }),
    );
  });

  test('a sentence begins with a capital, whatever it begins with', () => {
    expect(['reaction', 'Über', '', '7 reps'].map(capital)).toEqual([
      'Reaction',
      'Über',
      '',
      '7 reps',
    ]);
  });
});
