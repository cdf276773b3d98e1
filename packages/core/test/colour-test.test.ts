import { seededRandom } from '@orthokin/core/cue';
import { colourPairs, readColourTest, type ColourPair } from '@orthokin/core/people';
import fc from 'fast-check';

type Eye = (pair: ColourPair) => boolean;

/** Tells every two colours apart but those of these pairs. */
const eye =
  (...confused: readonly string[]): Eye =>
  ([a, b]) =>
    a !== b && !confused.includes(`${a} ${b}`);
const readBy = (sees: Eye, seed = 1) => {
  const pairs = colourPairs(seededRandom(seed));
  return readColourTest(pairs, pairs.map(sees));
};

test.each([
  ['all', eye(), 'full'],
  ['all but red from green', eye('red green'), 'red-green'],
  ['all but red from green and from black', eye('red green', 'red black'), 'red-green'],
  ['all but blue from green', eye('blue green'), 'blue-green'],
  ['neither red nor blue from green', eye('red green', 'blue green'), 'none'],
  ['not even blue from yellow', eye('blue yellow'), 'none'],
])('who tells apart %s', (_, sees, vision) => {
  fc.assert(
    fc.property(fc.nat(), (seed) => {
      expect(readBy(sees, seed)).toMatchObject({ vision, isUnsure: false });
    }),
  );
});

test('one slip changes nothing; answering the same to everything says nothing', () => {
  fc.assert(
    fc.property(fc.nat(), fc.nat({ max: 15 }), (seed, slip) => {
      const pairs = colourPairs(seededRandom(seed));
      const answers = pairs.map(eye('red green')).map((apart, i) => (i === slip ? !apart : apart));
      const { vision, isUnsure } = readColourTest(pairs, answers);
      // Of pairs shown twice one slip is half of it, and half is not more often than not.
      expect([vision, isUnsure]).toEqual(['red-green', false]);
    }),
  );
  expect(readBy(() => true).isUnsure).toBe(true);
  expect(readBy(() => false).isUnsure).toBe(true);
});
