import { keptSince } from '../src/people/index.js';

describe('since when somebody must have trained', () => {
  test.each([
    ['2026-11-28', 2, '2024-11-28'],
    ['2028-02-29', 1, '2027-02-28'],
    ['2028-02-29', 4, '2024-02-29'],
    ['2104-02-29', 4, '2100-02-28'],
    ['2026-01-01', 20, '2006-01-01'],
  ])('on %s, %i years', (today, years, since) => expect(keptSince(today, years)).toBe(since));
});
