import { POSITION_WORDS } from './position.js';
import type { CheckName, Finding } from '@orthokin/core/footwork';
import { lengthWords, type LengthUnit } from '@orthokin/core/floor';
import { capital, listWords } from './format.js';
import type { Leg } from '@orthokin/core/pattern';
import { finding as en } from './en/finding.js';
import { speaker } from './say.js';

const say = speaker(en);

function amount(value: number, unit: Finding['unit'], length: LengthUnit): string {
  switch (unit) {
    case 'm':
      return lengthWords(value, length);
    case 'ms':
      return `${(value / 1000).toFixed(2)} s`;
    case 'm/s':
      return `${value.toFixed(1)} m/s`;
    case 'times':
    case null:
      return value.toFixed(2);
  }
}

function rangeWords({ allowed: [low, high], unit }: Finding, length: LengthUnit): string {
  const words = (value: number) => amount(value, unit, length);
  if (low !== null && high !== null)
    return say('wordsWords2', { words: words(low), words2: words(high) });
  if (high !== null) return say('mostWords', { words: words(high) });
  return low === null ? '' : say('leastWords', { words: words(low) });
}

/** Where a finding is: "step 5", "the load", "the way out". */
export function whereWords({ steps, position, way }: Finding): string {
  if (steps.length > 0)
    return say('stepSteps', { steps: listWords(steps.map((index) => index + 1)) });
  if (position)
    return say('positionwords', { POSITIONWORDS: POSITION_WORDS[position].toLowerCase() });
  return way === 'back' ? say('wayBack') : say('wayOut');
}

const WHAT: Readonly<Record<CheckName, (finding: Finding, leg: Leg) => string>> = {
  'position missing': ({ position }) =>
    say('positionwordsMissing', {
      POSITIONWORDS: POSITION_WORDS[position ?? 'load'].toLowerCase(),
    }),
  'base width': ({ position, measured, allowed: [low] }) =>
    say('basePositionwordsTooWhich', {
      POSITIONWORDS: POSITION_WORDS[position ?? 'stance'].toLowerCase(),
      which: measured !== null && low !== null && measured < low ? 'narrow' : 'wide',
    }),
  detour: (finding) => say('detourWherewords', { whereWords: whereWords(finding) }),
  'braking step': (finding) =>
    say('brakingWherewordsNotShorterThanOne', { whereWords: whereWords(finding) }),
  'loading side': ({ steps: [index = 0] }, { load, placements }) =>
    say('loadStanceLoadsFootLegOutside', { load, foot: placements[index]?.foot ?? 'inside' }),
  'feet crossing': (finding) =>
    say('feetCrossWherewordsShuffle', { whereWords: whereWords(finding) }),
  'feet overlapping': (finding) =>
    say('feetOverlapWherewords', { whereWords: whereWords(finding) }),
  'step too long': (finding) =>
    say('wherewordsTooLongPossible', { whereWords: whereWords(finding) }),
  'step too fast': (finding) =>
    say('wherewordsTooFastPossible', { whereWords: whereWords(finding) }),
  'not quickening': (finding) =>
    say('rhythmDoesNotQuickenWherewords', { whereWords: whereWords(finding) }),
  'short of home': () => say('legEndsShortStanceHome'),
  'split window': ({ measured, allowed: [from] }) =>
    say('splitLandsTooWhich', {
      which: measured !== null && from !== null && measured < from ? 'early' : 'late',
    }),
  'split uneven': () => say('feetDoNotLandOnceSplit'),
};

/** A finding as a sentence with its number and what is allowed. */
export function findingSentence(finding: Finding, leg: Leg, length: LengthUnit): string {
  const what = capital(WHAT[finding.check](finding, leg));
  if (finding.measured === null) return `${what}.`;
  const range = rangeWords(finding, length);
  return `${what}: ${amount(finding.measured, finding.unit, length)}${range && say('rangeAllowed', { range })}.`;
}
