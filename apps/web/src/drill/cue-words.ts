import { isSpoken, LOSS_COST_LIMITS, screenKindOf, soundKindOf } from '@orthokin/core/drill';
import type { Target } from '@orthokin/core/floor';
import { targetOf } from '@orthokin/core/pattern';
import type { CuePlan } from './cue-plan.js';
import { canSay } from '../sound/spoken.js';

/** A target's number: its index among the pattern's targets, from 1. */
export const numberOf = ({ pattern }: CuePlan, letter: string): number =>
  pattern.targets.findIndex((target) => target.letter === letter) + 1;

const nameWords = ({ name }: Target): string[] => name.toLowerCase().split(/\s+/);

/** A target's colour, with its letter if another target has the same colour. */
const colourWords = ({ pattern }: CuePlan, { colour, letter }: Target): string[] =>
  pattern.targets.some((other) => other.colour === colour && other.letter !== letter)
    ? [colour, letter]
    : [colour];

/**
 * What is said for a target: what the screen shows (number or name), or else its letter, which is shortest. A name
 * with a word that cannot be spoken is replaced by the letter.
 */
export function cueWords(plan: CuePlan, letter: string): string[] {
  const target = targetOf(plan.pattern, letter);
  const screen = screenKindOf(plan.conditions);
  if (target && soundKindOf(plan.conditions) === 'spoken colour') return colourWords(plan, target);
  if (screen === 'number') return [String(numberOf(plan, letter))];
  if (target && (screen === 'word' || screen === 'arrow') && canSay(nameWords(target)))
    return nameWords(target);
  return [letter];
}

/** Words said besides the cues. */
const CALLS = [
  ...['freeze', 'ready', 'go', 'rest', 'work', 'home', 'change', 'more', 'stop', 'technique'],
  // For counting down, and for how many reps a lost one adds.
  ...Array.from({ length: LOSS_COST_LIMITS.reps[1] }, (_, i) => String(i + 1)),
];

/** Words called during a rehearsal. */
export const REHEARSED = ['stance', 'split', 'load', 'action', 'recovery', 'through', 'hold'];

/** All words sets of a pattern may need, for somebody who records them. */
export const allWordsOf = ({ pattern }: Pick<CuePlan, 'pattern'>): string[] => [
  ...new Set([
    ...pattern.targets.map(({ letter }) => letter),
    ...pattern.targets.flatMap(nameWords),
    ...pattern.targets.map(({ colour }) => colour),
    ...CALLS,
    ...REHEARSED,
  ]),
];

/** All words a set may need. */
export const wordsOfSet = (plan: CuePlan): string[] => [
  ...CALLS,
  ...(isSpoken(plan.conditions)
    ? plan.pattern.targets.flatMap(({ letter }) => cueWords(plan, letter))
    : []),
];
