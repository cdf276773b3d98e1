import { travelTime } from '../budget/index.js';
import { distance, HOME } from '../floor/index.js';
import type { Pattern, Rung } from '../pattern/index.js';

type OnRungs = Pick<Pattern, 'targets' | 'laidFor' | 'rungs'>;

/** Name, share of the targets in play, reaction limit in ms, and how much of the reckoned way home. */
const STEPS = [
  ['first targets, easy pace', 0.5, 380, 1.3],
  ['all targets, easy pace', 1, 380, 1.3],
  ['all targets, steady', 1, 350, 1.2],
  ['all targets, brisk', 1, 330, 1.1],
  ['all targets, match pace', 1, 310, 1],
] as const;

/** From action to push-off, as the feet are laid, ms. */
const PUSH_OFF_MS = 70;

/**
 * A plain ladder for a pattern that has none: from half its targets at 130 % of the time that the
 * way home takes by the travel model, to all of them at 100 %.
 */
export function draftRungs({ targets, laidFor }: Pick<Pattern, 'targets' | 'laidFor'>): Rung[] {
  const letters = targets.map(({ letter }) => letter);
  const farthest = Math.max(0, ...targets.map(({ at }) => distance(HOME, at)));
  const homeMs = 1000 * travelTime(farthest, laidFor.travel) + PUSH_OFF_MS;
  const inPlay = (share: number) =>
    letters.slice(0, Math.max(2, Math.ceil(share * letters.length)));
  return STEPS.filter(([, share]) => share === 1 || letters.length > 2).map(
    ([name, share, reaction, factor], i) => ({
      number: i + 1,
      name,
      targets: inPlay(share),
      limitsMs: { reaction, recovery: Math.round((homeMs * factor) / 10) * 10 },
      passShare: 0.8,
      falseStartShare: 0.1,
      minValidReps: 8,
    }),
  );
}

/** The pattern's own rungs while they fit its targets; otherwise drafted ones. */
export function fittingRungs(pattern: OnRungs): readonly Rung[] {
  const letters = new Set(pattern.targets.map(({ letter }) => letter));
  const played = new Set(pattern.rungs.flatMap(({ targets }) => targets));
  const fit = letters.size === played.size && [...letters].every((letter) => played.has(letter));
  return fit && pattern.rungs.length > 0 ? pattern.rungs : draftRungs(pattern);
}
