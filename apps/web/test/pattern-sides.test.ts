import { changePlacement, withLeg, type Pattern } from '@orthokin/core/pattern';
import { firstPattern } from '@orthokin/core/progress';
import { otherwisePattern } from '../src/words/pattern-sides.js';

const star = firstPattern({ name: 'Star', sport: 'squash', court: 'squash', hand: 'right' });
const beside = (theirs: Pattern, unit: 'metres' | 'feet' = 'metres') =>
  otherwisePattern(star, theirs, unit).map(({ what, mine, theirs: other }) => [what, mine, other]);

test('what differs is said by its name, as both have it, and nothing else', () => {
  expect(beside({ ...star, name: 'Star, slower', hand: 'left', notes: 'Low.' })).toEqual([
    ['Name', 'Star', 'Star, slower'],
    ['Playing hand', 'right', 'left'],
    ['Notes', 'none', 'Low.'],
  ]);
  expect(beside({ ...star, rungs: star.rungs.slice(0, 1) })).toEqual([
    ['Rungs', star.rungs.map(({ name }) => name).join(', '), star.rungs[0]?.name],
  ]);
});

test('a marker that was moved is told by where it lies, in the unit that is shown', () => {
  const [first, ...others] = star.targets;
  if (!first) throw new Error('No target.');
  const moved = { ...star, targets: [{ ...first, at: { x: -1.5, y: -0.5 } }, ...others] };
  const [row] = beside(moved);
  expect(row?.[0]).toBe(`Marker ${first.letter}, from home`);
  expect(row?.[2]).toBe('1.50 m to the left, 0.50 m behind');
  expect(beside(moved, 'feet')[0]?.[2]).toMatch(/^4′ 11″ to the left/);
});

test('targets that only one of them has are named once, as the list of targets', () => {
  const [gone, ...others] = star.targets;
  const rows = beside({ ...star, targets: others });
  expect(rows.map(([what]) => what)).toEqual(['Targets']);
  expect(rows[0]?.[2]).not.toContain(gone?.letter);
});

test('feet that differ are told by their steps, or that they differ', () => {
  const [leg] = star.legs;
  if (!leg) throw new Error('No leg.');
  const steps = leg.placements.length;
  const shorter = withLeg(star, { ...leg, placements: leg.placements.slice(0, -1) });
  expect(beside(shorter)).toEqual([
    [`Feet to ${leg.target}`, `${steps} steps`, `${steps - 1} steps`],
  ]);
  const turned = withLeg(star, changePlacement(leg, 2, { headingDeg: 33 }));
  expect(beside(turned)).toEqual([[`Feet to ${leg.target}`, 'as you have it', 'otherwise']]);
  expect(beside({ ...star, legs: star.legs.slice(1) })[0]?.[2]).toBe('none laid');
});

test('what has no short words is said to differ inside', () => {
  const rungs = star.rungs.map((rung) => ({ ...rung, limits: [] }));
  expect(beside({ ...star, rungs: rungs })).toHaveLength(1);
  expect(beside({ ...star, tags: ['wet floor'] })).toEqual([
    ['Rungs, words and lengths', 'as you have it', 'otherwise'],
  ]);
});
