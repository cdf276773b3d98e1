import fc from 'fast-check';
import {
  MANNERS,
  playSpan,
  rehearsalMs,
  rehearsalOf,
  sidesInTurn,
  USUAL_REHEARSAL,
} from '@orthokin/core/footwork';
import { arrivalMs, homeMs, legOf, targetOf } from '@orthokin/core/pattern';
import { anyPattern, bare, laid } from './patterns.js';

const star = laid(bare('star', 2.5));
const letters = star.targets.map(({ letter }) => letter);

test('a leg is called position by position, then through, then the next leg', () => {
  const calls = rehearsalOf(star, ['A', 'B'], USUAL_REHEARSAL);
  expect(calls.slice(0, 6).map(({ call }) => call)).toEqual([
    'stance',
    'split',
    'load',
    'action',
    'recovery',
    'through',
  ]);
  expect(new Set(calls.slice(0, 6).map(({ target }) => target)).size).toBe(1);
  expect(calls).toHaveLength(12);
});

test('each call walks to its position at the chosen pace, and holds there', () => {
  const leg = legOf(star, 'A');
  if (!leg) throw new Error('no leg');
  const calls = rehearsalOf(star, ['A'], { ...USUAL_REHEARSAL, pace: 0.5, holdMs: 3000 });
  const load = calls.find(({ call }) => call === 'load');
  expect(load?.leg.toMs).toBe(arrivalMs(leg));
  expect(load?.walkMs).toBeCloseTo(((load?.leg.toMs ?? 0) - (load?.leg.fromMs ?? 0)) * 2, 9);
  const through = calls.at(-1);
  expect(through?.leg).toEqual({ fromMs: playSpan(leg).fromMs, toMs: homeMs(leg) });
  expect(rehearsalMs(calls)).toBeCloseTo(
    6 * 3000 + 4 * ((homeMs(leg) ?? 0) - playSpan(leg).fromMs),
    6,
  );
});

test('everything is called once for each manner, bare first', () => {
  const calls = rehearsalOf(star, letters, { ...USUAL_REHEARSAL, manners: MANNERS });
  const one = rehearsalOf(star, letters, USUAL_REHEARSAL);
  expect(calls).toHaveLength(MANNERS.length * one.length);
  expect(calls.slice(0, one.length)).toEqual(one);
});

test('what a pattern lacks is passed over', () => {
  const bareStar = bare('star', 2.5);
  expect(rehearsalOf(bareStar, letters, USUAL_REHEARSAL)).toEqual([]);
  const footless = {
    ...star,
    legs: star.legs.map((leg) => ({
      ...leg,
      placements: leg.placements.filter(({ phase }) => phase !== 'split'),
    })),
  };
  const calls = rehearsalOf(footless, ['A'], { ...USUAL_REHEARSAL, through: false });
  expect(calls.map(({ call }) => call)).toEqual(['stance', 'load', 'action', 'recovery']);
});

test('sides come in turn for as long as both have a target left, and none is lost', () => {
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const all = pattern.targets.map(({ letter }) => letter);
      const turns = sidesInTurn(pattern, all);
      expect([...turns].sort()).toEqual([...all].sort());
      const sides = turns.map((letter) => Math.sign(targetOf(pattern, letter)?.at.x ?? 0));
      const fewer = Math.min(
        sides.filter((side) => side < 0).length,
        sides.filter((side) => side > 0).length,
      );
      expect(sides.slice(0, 2 * fewer)).toEqual(
        Array.from({ length: 2 * fewer }, (_, i) => (i % 2 === 0 ? -1 : 1)),
      );
    }),
  );
});

test('the calls of a leg follow on from one another', () => {
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const all = pattern.targets.map(({ letter }) => letter);
      const calls = rehearsalOf(pattern, all, { ...USUAL_REHEARSAL, through: false });
      calls.forEach(({ leg, target }, i) => {
        expect(leg.toMs).toBeGreaterThanOrEqual(leg.fromMs);
        const before = calls[i - 1];
        if (before?.target === target) expect(leg.fromMs).toBe(before.leg.toMs);
      });
    }),
  );
});
