import type { AthleteBody } from '@orthokin/contract';
import { lengthWords, type ColourVision, type LengthUnit, type Side } from '@orthokin/core/floor';
import type { FaultWords } from '@orthokin/core/timing';
import type { RosterField } from '@orthokin/core/formats';
import { HELD } from '@orthokin/core/people';
import { people as en } from './en/people.js';
import { dateWords, listWords } from './format.js';
import { faultWords } from './fault.js';
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
  'reach with hand': say('reachWith', { held: 'hand' }),
  'reach with racket': say('reachWith', { held: 'racket' }),
  'reach with paddle': say('reachWith', { held: 'paddle' }),
  'reach with bat': say('reachWith', { held: 'bat' }),
  'reach with blade': say('reachWith', { held: 'blade' }),
  sports: say('sports'),
  goal: say('fieldGoal'),
  note: say('fieldNote'),
  squad: say('squadColumn'),
};

type Reading = readonly [what: string, read: (body: AthleteBody) => string];

/** What to delete when somebody is erased. */
export const ERASURE_OPTIONS = [
  ['removed', say('eraseRemoved')],
  ['nameless', say('eraseNameless')],
] as const;

/** The differences between two people's versions of an athlete, in words. */
export function otherwiseKnown(
  mine: AthleteBody,
  theirs: AthleteBody,
  {
    patterns,
    unit,
    faults,
  }: {
    readonly patterns: ReadonlyMap<string, string>;
    readonly unit: LengthUnit;
    /** With the club's names. */
    readonly faults: readonly FaultWords[];
  },
): { readonly what: string; readonly mine: string; readonly theirs: string }[] {
  const length = (metres: number | null | undefined) =>
    metres == null ? say('notKnown') : lengthWords(metres, unit);
  const words = (said: string | null | undefined) => said || say('notKnown');
  const readings: readonly Reading[] = [
    [say('name'), ({ name }) => name],
    [say('called'), ({ called }) => words(called)],
    [say('hand'), ({ hand }) => SIDE_WORDS[hand]],
    [say('foot'), ({ foot }) => (foot ? SIDE_WORDS[foot] : say('notKnown'))],
    [say('ageBand'), ({ ageBand }) => ageBand],
    [say('bornOn'), ({ bornOn }) => (bornOn ? dateWords(bornOn) : say('notKnown'))],
    [say('colourVision'), ({ colourVision }) => COLOUR_WORDS[colourVision]],
    [say('pattern'), ({ patternId }) => patterns.get(patternId) ?? say('notKnown')],
    [say('height'), ({ heightM }) => length(heightM)],
    [say('shoulder'), ({ shoulderM }) => length(shoulderM)],
    [say('hip'), ({ hipM }) => length(hipM)],
    [say('reach'), ({ reachM }) => length(reachM)],
    ...HELD.map((held): Reading => [
      say('reachWith', { held }),
      ({ reaches }) => length(reaches?.[held]),
    ]),
    [say('sports'), ({ sports }) => words(sports)],
    [say('goal'), ({ goal }) => words(goal)],
    [say('note'), ({ note }) => words(note)],
    [
      say('fieldWatched'),
      ({ watched }) => listWords((watched ?? []).map((fault) => faultWords(fault, faults).name)),
    ],
    [
      say('fieldEmergency'),
      ({ emergency }) => (emergency ? Object.values(emergency).filter(Boolean).join(', ') : ''),
    ],
  ];
  return readings
    .map(([what, read]) => ({ what, mine: read(mine), theirs: read(theirs) }))
    .filter((row) => row.mine !== row.theirs);
}
