import { baseWidth, type Pattern, type PositionName, type Standing } from '@orthokin/core/pattern';
import { lengthWords, type LengthUnit } from '@orthokin/core/floor';
import { checkPoint as en } from './en/check-point.js';
import { speaker } from './say.js';

const say = speaker(en);

const degrees = (headingDeg: number): string => `${Math.round(headingDeg)}°`.replace('-', '−');

/** Base width in centimetres (or feet and inches) and as a multiple of the shoulders. */
export function baseWords(standing: Standing, { laidFor }: Pattern, unit: LengthUnit): string {
  const width = baseWidth(standing);
  const words =
    unit === 'metres'
      ? say('roundCm', { round: Math.round(width * 100) })
      : lengthWords(width, unit);
  return say('baseWordsWidthShoulders', { words, width: (width / laidFor.shoulderM).toFixed(1) });
}

export const headingWords = ({ left, right }: Standing): string =>
  say('toesDegreesLeftDegrees2Right', {
    degrees: degrees(left.headingDeg),
    degrees2: degrees(right.headingDeg),
  });

/** The timing a position asks for; only the split-step has a window. */
export const windowWords = (name: PositionName, { splitWindowMs: [from, to] }: Pattern): string =>
  name === 'split'
    ? say('landsFromSAboutCue', {
        from: (from / 1000).toFixed(2).replace('-', '−'),
        to: (to / 1000).toFixed(2),
      })
    : '';
