import 'reflect-metadata';
import { validateSync } from 'class-validator';
import fc from 'fast-check';
import { IsDay, IsMoment } from '../src/moment.js';

class Said {
  at = '';
  day = '';
}
IsMoment()(Said.prototype, 'at');
IsDay()(Said.prototype, 'day');

const wrongIn = (given: Partial<Record<keyof Said, unknown>>): string[] => {
  const said = Object.assign(new Said(), {
    ...{ at: '2026-03-01T10:00:00Z', day: '2026-03-01' },
    ...given,
  });
  return validateSync(said).map(({ property }) => property);
};

describe('a moment', () => {
  test.each([
    '2026-03-01T10:00:00Z',
    '2026-03-01T10:00:00.123Z',
    '2026-03-01T10:00Z',
    '2026-03-01T10:00:00+05:30',
    '2024-02-29T23:59:59-08:00',
  ])('%s is one', (at) => {
    expect(wrongIn({ at })).toEqual([]);
  });

  test.each([
    '2026-W05-6T10:00:00Z',
    '9999-99-99',
    '9999-12-31T10:00:00Z',
    '1970-01-01T00:00:00Z',
    '2026-02-30T10:00:00Z',
    '2026-03-01T25:00:00Z',
    '2026-03-01T10:00:00',
    '2026-03-01',
    '2026-03-01 10:00:00Z',
    '+02026-03-01T10:00:00Z',
    '2026-03-01T10:00:00Z\0',
    '',
    null,
    undefined,
    1_772_000_000_000,
    {},
    [],
  ])('%p is none', (at) => {
    expect(wrongIn({ at })).toEqual(['at']);
  });

  test('whatever a clock of this century says is one', () => {
    const [min, max] = [new Date('2000-01-02'), new Date('2099-12-30')];
    fc.assert(
      fc.property(fc.date({ min, max, noInvalidDate: true }), (date) => {
        const at = date.toISOString();
        expect(wrongIn({ at, day: at.slice(0, 10) })).toEqual([]);
      }),
    );
  });

  test('what is no text of a moment is never one', () => {
    fc.assert(
      fc.property(fc.string(), (at) => {
        if (Number.isNaN(Date.parse(at))) expect(wrongIn({ at })).toEqual(['at']);
      }),
    );
  });
});

describe('a day', () => {
  test.each(['2026-03-01', '2024-02-29', '2099-12-31'])('%s is one', (day) => {
    expect(wrongIn({ day })).toEqual([]);
  });

  test.each([
    '2026-02-29',
    '2026-13-01',
    '1999-12-31',
    '26-03-01',
    '2026-3-1',
    '2026-03-01T00:00Z',
    '',
    20260301,
  ])('%p is none', (day) => expect(wrongIn({ day })).toEqual(['day']));
});
