import { shuffled, type Random } from '../cue/index.js';
import type { ColourVision, MarkerColour } from '../floor/index.js';

/** Two markers side by side, of one shape, without letters. */
export type ColourPair = readonly [MarkerColour, MarkerColour];

const CONFUSED: readonly (readonly [ColourPair, times: number])[] = [
  [['red', 'green'], 3],
  [['blue', 'green'], 3],
  [['red', 'black'], 2],
  [['blue', 'yellow'], 2],
];
/** Nobody who looks takes these for one colour, or for two. */
const PLAIN: readonly ColourPair[] = [
  ['black', 'white'],
  ['yellow', 'black'],
  ['red', 'red'],
  ['green', 'green'],
  ['blue', 'blue'],
  ['yellow', 'yellow'],
];
/** So many of the plain pairs may be answered wrongly by a slip. */
const SLIPS = 1;

/** The pairs of a test in an order of its own: those that get confused several times, and plain ones. */
export const colourPairs = (random: Random): ColourPair[] =>
  shuffled(
    [...CONFUSED.flatMap(([pair, times]) => Array<ColourPair>(times).fill(pair)), ...PLAIN],
    random,
  );

/** What a test shows. */
export interface ColourReading {
  readonly vision: ColourVision;
  /** Pairs that were taken for one colour more often than not. */
  readonly confused: readonly ColourPair[];
  /** Too many plain pairs were answered wrongly: it says nothing. */
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
