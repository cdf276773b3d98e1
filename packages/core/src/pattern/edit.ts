import { midpoint, otherSide, type Target } from '../floor/index.js';
import type { Leg } from './leg.js';
import { MAX_CUE_WORDS, wordCount, type PositionName, type PositionNotes } from './notes.js';
import type { Pattern } from './pattern.js';
import type { Placement } from './placement.js';
import { legOf } from './pattern.js';

/** The pattern with a target added, or replaced if its letter exists. */
export const withTarget = (pattern: Pattern, target: Target): Pattern => ({
  ...pattern,
  targets: pattern.targets.some(({ letter }) => letter === target.letter)
    ? pattern.targets.map((old) => (old.letter === target.letter ? target : old))
    : [...pattern.targets, target],
});

/** The pattern without a target and everything that refers to it. */
export const withoutTarget = (pattern: Pattern, letter: string): Pattern => ({
  ...pattern,
  targets: pattern.targets.filter((target) => target.letter !== letter),
  legs: pattern.legs.filter((leg) => leg.target !== letter),
});

/** The pattern with other targets; legs to letters that remain are kept. */
export const withTargets = (pattern: Pattern, targets: readonly Target[]): Pattern => ({
  ...pattern,
  targets,
  legs: pattern.legs.filter((leg) => targets.some(({ letter }) => letter === leg.target)),
});

/** The pattern with a leg added, or replaced if its target has one. */
export const withLeg = (pattern: Pattern, leg: Leg): Pattern => ({
  ...pattern,
  legs: [...pattern.legs.filter(({ target }) => target !== leg.target), leg].sort((a, b) =>
    a.target.localeCompare(b.target),
  ),
});

/** The pattern with a leg changed; unchanged if that target has no leg. */
export function changeLeg(pattern: Pattern, letter: string, change: (leg: Leg) => Leg): Pattern {
  const leg = legOf(pattern, letter);
  return leg ? withLeg(pattern, change(leg)) : pattern;
}

/** Sorted by landing time; simultaneous ones keep their order. */
const inOrder = (placements: readonly Placement[]): Placement[] =>
  [...placements].sort((a, b) => a.atMs - b.atMs);

/** The leg with one placement changed. */
export const changePlacement = (leg: Leg, index: number, change: Partial<Placement>): Leg => ({
  ...leg,
  placements: inOrder(leg.placements.map((old, i) => (i === index ? { ...old, ...change } : old))),
});

/** A leg without one of its placements. */
export const removePlacement = (leg: Leg, index: number): Leg => ({
  ...leg,
  placements: leg.placements.filter((_, i) => i !== index),
});

/** The leg with a placement inserted after another: the other foot, half way to the next. */
export function insertPlacement(leg: Leg, index: number): Leg {
  const before = leg.placements[index];
  if (!before) return leg;
  const after = leg.placements[index + 1];
  const added: Placement = {
    ...before,
    foot: otherSide(before.foot),
    kind: 'run',
    at: after ? midpoint(before.at, after.at) : { x: before.at.x + 0.2, y: before.at.y },
    atMs: after ? Math.round((before.atMs + after.atMs) / 2) : before.atMs + 200,
  };
  return { ...leg, placements: leg.placements.toSpliced(index + 1, 0, added) };
}

/** The pattern with notes on a position changed; a cue keeps its first five words. */
export function withNotes(
  pattern: Pattern,
  letter: string,
  name: PositionName,
  { cue, checkPoints }: PositionNotes,
): Pattern {
  const words = cue.split(/\s+/).filter(Boolean).slice(0, MAX_CUE_WORDS).join(' ');
  const notes = { cue: wordCount(cue) > MAX_CUE_WORDS ? words : cue, checkPoints };
  if (name === 'load' || name === 'action')
    return changeLeg(pattern, letter, (leg) => ({
      ...leg,
      notes: { ...leg.notes, [name]: notes },
    }));
  return { ...pattern, positions: { ...pattern.positions, [name]: notes } };
}
