import type { Side, ColourVision } from '@orthokin/core/floor';
import { people as en } from './en/people.js';
import { speaker } from './say.js';

/** What is said of people and of whole clubs. */
export const say = speaker(en);

export const COLOUR_WORDS: Readonly<Record<ColourVision, string>> = {
  full: say('coloursAll'),
  'red-green': say('coloursRedGreen'),
  'blue-green': say('coloursBlueGreen'),
  none: say('coloursNone'),
};

export const SIDE_WORDS: Readonly<Record<Side, string>> = {
  left: say('left'),
  right: say('right'),
};
