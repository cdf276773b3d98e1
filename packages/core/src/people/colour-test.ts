import { shuffled, type Random } from '../cue/index.js';
import type { ColourVision, MarkerColour } from '../floor/index.js';

/** Two markers of the same shape side by side, without letters. */
export type ColourPair = readonly [MarkerColour, MarkerColour];

const CONFUSED: readonly (readonly [ColourPair, times: number])[] = [
  [['red', 'green'], 3],
  [['blue', 'green'], 3],
  [['red', 'black'], 2],
  [['blue', 'yellow'], 2],
];
/** Pairs that nobody who pays attention gets wrong. */
const PLAIN: readonly ColourPair[] = [
  ['black', 'white'],
  ['yellow', 'black'],
  ['red', 'red'],
  ['green', 'green'],
  ['blue', 'blue'],
  ['yellow', 'yellow'],
];
/** How many plain pairs may be answered wrongly by accident. */
const SLIPS = 1;

/** A test's pairs in random order: confusable ones several times, and plain ones. */
export const colourPairs = (random: Random): ColourPair[] =>
  shuffled(
    [...CONFUSED.flatMap(([pair, times]) => Array<ColourPair>(times).fill(pair)), ...PLAIN],
    random,
  );

/** The result of a test. */
export interface ColourReading {
  readonly vision: ColourVision;
  /** Pairs taken for one colour more often than not. */
  readonly confused: readonly ColourPair[];
  /** Whether too many plain pairs were wrong, so that the test says nothing. */
  readonly isUnsure: boolean;
}

const keyOf = ([a, b]: ColourPair): string => `${a} ${b}`;

/**
 * Reads a test made with the markers themselves on the screen at hand: it chooses marker colours, and
 * finds no condition of the eye.
 * @param pairs as they were shown
 * @param apart for each, whether they were said to be two colours
 */
export function readColourTest(
  pairs: readonly ColourPair[],
  apart: readonly boolean[],
): ColourReading {
  const asOne = (wanted: ColourPair): boolean => {
    const own = pairs.flatMap((pair, i) => (keyOf(pair) === keyOf(wanted) ? (apart[i] ?? []) : []));
    return own.length > 0 && own.filter((two) => !two).length > own.length / 2;
  };
  const confused = CONFUSED.map(([pair]) => pair).filter(asOne);
  const has = (...wanted: readonly ColourPair[]) =>
    wanted.some((pair) => confused.some((one) => keyOf(one) === keyOf(pair)));
  const redGreen = has(['red', 'green'], ['red', 'black']);
  const blueGreen = has(['blue', 'green']);
  const wrong = PLAIN.filter((pair) => asOne(pair) !== (pair[0] === pair[1])).length;
  return {
    vision:
      has(['blue', 'yellow']) || (redGreen && blueGreen)
        ? 'none'
        : redGreen
          ? 'red-green'
          : blueGreen
            ? 'blue-green'
            : 'full',
    confused,
    isUnsure: wrong > SLIPS,
  };
}
