import { POSITION_WORDS } from './position.js';
import type { CheckName, Finding } from '@orthokin/core/footwork';
import { lengthWords, type LengthUnit } from '@orthokin/core/floor';
import { capital } from './format.js';
import type { Leg } from '@orthokin/core/pattern';

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
  if (low !== null && high !== null) return `${words(low)} to ${words(high)}`;
  if (high !== null) return `at most ${words(high)}`;
  return low === null ? '' : `at least ${words(low)}`;
}

/** Where a finding is: "step 5", "the load", "the way out". */
export function whereWords({ steps, position, way }: Finding): string {
  if (steps.length > 0) return `step ${steps.map((index) => index + 1).join(' and ')}`;
  if (position) return `the ${POSITION_WORDS[position].toLowerCase()}`;
  return way === 'back' ? 'the way back' : 'the way out';
}

const WHAT: Readonly<Record<CheckName, (finding: Finding, leg: Leg) => string>> = {
  'position missing': ({ position }) =>
    `The ${POSITION_WORDS[position ?? 'load'].toLowerCase()} is missing`,
  'base width': ({ position, measured, allowed: [low] }) =>
    `Base in the ${POSITION_WORDS[position ?? 'stance'].toLowerCase()} is too ${measured !== null && low !== null && measured < low ? 'narrow' : 'wide'}`,
  detour: (finding) => `A detour on ${whereWords(finding)}`,
  'braking step': (finding) => `Braking ${whereWords(finding)} is not shorter than the one before`,
  'loading side': ({ steps: [index = 0] }, { load, placements }) =>
    `The ${load} stance loads the ${placements[index]?.foot ?? 'inside'} leg; the outside one belongs there`,
  'feet crossing': (finding) => `Feet cross at ${whereWords(finding)} of a shuffle`,
  'feet overlapping': (finding) => `Feet overlap at ${whereWords(finding)}`,
  'step too long': (finding) => `${whereWords(finding)} is too long to be possible`,
  'step too fast': (finding) => `${whereWords(finding)} is too fast to be possible`,
  'not quickening': (finding) => `The rhythm does not quicken at ${whereWords(finding)}`,
  'short of home': () => 'The leg ends short of the stance at home',
  'split window': ({ measured, allowed: [from] }) =>
    `The split lands too ${measured !== null && from !== null && measured < from ? 'early' : 'late'}`,
  'split uneven': () => 'The feet do not land at once in the split',
};

/** A finding as a sentence with its number and what is allowed. */
export function findingSentence(finding: Finding, leg: Leg, length: LengthUnit): string {
  const what = capital(WHAT[finding.check](finding, leg));
  if (finding.measured === null) return `${what}.`;
  const range = rangeWords(finding, length);
  return `${what}: ${amount(finding.measured, finding.unit, length)}${range && `, ${range} allowed`}.`;
}
