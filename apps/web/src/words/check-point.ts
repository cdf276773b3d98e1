import { baseWidth, type Pattern, type PositionName, type Standing } from '@orthokin/core/pattern';
import { lengthWords, type LengthUnit } from '@orthokin/core/floor';

const degrees = (headingDeg: number): string => `${Math.round(headingDeg)}°`.replace('-', '−');

/** Base width in centimetres (or feet and inches) and as a multiple of the shoulders. */
export function baseWords(standing: Standing, { laidFor }: Pattern, unit: LengthUnit): string {
  const width = baseWidth(standing);
  const words = unit === 'metres' ? `${Math.round(width * 100)} cm` : lengthWords(width, unit);
  return `base ${words}, ${(width / laidFor.shoulderM).toFixed(1)} × shoulders`;
}

export const headingWords = ({ left, right }: Standing): string =>
  `toes ${degrees(left.headingDeg)} left, ${degrees(right.headingDeg)} right`;

/** What a position asks for in time: only the split has a window. */
export const windowWords = (name: PositionName, { splitWindowMs: [from, to] }: Pattern): string =>
  name === 'split'
    ? `lands ${(from / 1000).toFixed(2).replace('-', '−')} to +${(to / 1000).toFixed(2)} s about the cue`
    : '';
