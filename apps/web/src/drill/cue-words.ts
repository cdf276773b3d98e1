import { isSpoken, LOSS_COST_LIMITS, screenKindOf, soundKindOf } from '@orthokin/core/drill';
import type { Target } from '@orthokin/core/floor';
import { targetOf } from '@orthokin/core/pattern';
import type { CuePlan } from './cue-plan.js';
import { canSay } from '../sound/spoken.js';

/** A target's number: its place among the pattern's targets, from 1. */
export const numberOf = ({ pattern }: CuePlan, letter: string): number =>
  pattern.targets.findIndex((target) => target.letter === letter) + 1;

const nameWords = ({ name }: Target): string[] => name.toLowerCase().split(/\s+/);

/** Its colour; where another target has the same, its letter after it. */
const colourWords = ({ pattern }: CuePlan, { colour, letter }: Target): string[] =>
  pattern.targets.some((other) => other.colour === colour && other.letter !== letter)
    ? [colour, letter]
    : [colour];

/**
 * What is said for a target: what the screen shows (its number, its name), else its letter, which
 * is the shortest. A name for which not every word can be said gives way to the letter.
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

/** Said besides the cues. */
const CALLS = [
  ...['freeze', 'ready', 'go', 'rest', 'work', 'home', 'change', 'more', 'stop', 'technique'],
  // Counted down with, and what one lost rep may add.
  ...Array.from({ length: LOSS_COST_LIMITS.reps[1] }, (_, i) => String(i + 1)),
];

/** Called while a pattern is rehearsed. */
export const REHEARSED = ['stance', 'split', 'load', 'action', 'recovery', 'through', 'hold'];

/** Every word that sets of a pattern may ever need, for whoever lends it a voice. */
export const allWordsOf = ({ pattern }: Pick<CuePlan, 'pattern'>): string[] => [
  ...new Set([
    ...pattern.targets.map(({ letter }) => letter),
    ...pattern.targets.flatMap(nameWords),
    ...pattern.targets.map(({ colour }) => colour),
    ...CALLS,
    ...REHEARSED,
  ]),
];

/** Every word a set may need. */
export const wordsOfSet = (plan: CuePlan): string[] => [
  ...CALLS,
  ...(isSpoken(plan.conditions)
    ? plan.pattern.targets.flatMap(({ letter }) => cueWords(plan, letter))
    : []),
];
