import fc from 'fast-check';
import type * as Unbroken from '../src/words/unbroken.js';

const { unbroken } = jest.requireActual<typeof Unbroken>('../src/words/unbroken');

test.each([
  ['Home in 1.34 s, 80 % of the time.', 'Home in 1.34_s, 80_% of the time.'],
  ['1.30–1.60 m and ±8 ms', '1.30–1.60_m and ±8_ms'],
  ['5 in a row', '5 in a row'],
  ['3 sets of 10 minutes', '3 sets of 10 minutes'],
  ['2 s-cuts', '2 s-cuts'],
  ['a s', 'a s'],
])('a figure and its unit stay on one line: %s', (text, kept) => {
  expect(unbroken(text).replaceAll('\u00a0', '_')).toBe(kept);
});

test('nothing else of a text is changed', () => {
  fc.assert(
    fc.property(
      fc.string(),
      (text) => unbroken(text).replaceAll('\u00a0', ' ') === text.replaceAll('\u00a0', ' '),
    ),
  );
});
