import {
  distance,
  heading,
  HOME,
  lengthWords,
  type LengthUnit,
  type Target,
} from '@orthokin/core/floor';
import { marker as en } from './en/marker.js';
import { speaker } from './say.js';

const say = speaker(en);

/** Distance and angle of a place from home base; the angle is clockwise from forward. */
export const fromHome = ({ at }: Pick<Target, 'at'>, unit: LengthUnit): string =>
  `${lengthWords(distance(HOME, at), unit)}, ${String(Math.round(heading(HOME, at))).replace('-', '−')}°`;

/** A marker in words: its letter, its name, and where it stands. */
export const targetWords = (target: Target, unit: LengthUnit): string =>
  say('letterTargetFromhomeFromHomeBase', {
    letter: target.letter,
    target: target.name,
    fromHome: fromHome(target, unit),
  });
