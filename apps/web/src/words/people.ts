import type { Side, ColourVision } from '@orthokin/core/floor';
import type { RosterField } from '@orthokin/core/formats';
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

export const ROSTER_WORDS: Readonly<Record<RosterField, string>> = {
  name: say('name'),
  called: say('called'),
  born: say('bornOn'),
  'age band': say('fieldAgeBand'),
  hand: say('hand'),
  foot: say('foot'),
  height: say('height'),
  shoulders: say('fieldShoulders'),
  hips: say('fieldHips'),
  reach: say('fieldReach'),
  sports: say('sports'),
  goal: say('fieldGoal'),
  note: say('fieldNote'),
  squad: say('squadColumn'),
};

/** What goes when somebody is erased, to choose from. */
export const ERASURE_OPTIONS = [
  ['removed', say('eraseRemoved')],
  ['nameless', say('eraseNameless')],
] as const;
