import fc from 'fast-check';
import { distance, HOME } from '@orthokin/core/floor';
import { checkFootwork, onScale } from '@orthokin/core/footwork';
import { legOf } from '@orthokin/core/pattern';
import { anyPattern, bare, laid } from './patterns.js';

const scales = fc.double({ min: 0.6, max: 1.4, noNaN: true });

test('every target is so much nearer or farther, in the same direction', () => {
  fc.assert(
    fc.property(anyPattern, scales, (pattern, scale) => {
      const scaled = onScale(pattern, scale);
      for (const [i, { at, letter }] of scaled.targets.entries()) {
        const before = pattern.targets[i];
        expect(letter).toBe(before?.letter);
        expect(distance(HOME, at)).toBeCloseTo(scale * distance(HOME, before?.at ?? HOME), 9);
      }
    }),
    { numRuns: 40 },
  );
});

test('feet are laid anew, not stretched: a step grows no longer with the floor', () => {
  const pattern = laid(bare('line', 3));
  const [letter = ''] = pattern.targets.map((target) => target.letter);
  const steps = (scale: number) => legOf(onScale(pattern, scale), letter)?.placements.length ?? 0;
  expect(steps(1.6)).toBeGreaterThan(steps(0.6));
  expect(checkFootwork(onScale(pattern, 1.3)).some(({ check }) => check === 'step too long')).toBe(
    false,
  );
});

test('what was written about positions stays; a pattern at its own size is the very same', () => {
  const pattern = laid(bare('cross', 3));
  const noted = {
    ...pattern,
    legs: pattern.legs.map((leg) => ({
      ...leg,
      notes: { ...leg.notes, load: { cue: 'Sit and stop', checkPoints: ['knee bent'] } },
    })),
  };
  for (const leg of onScale(noted, 0.8).legs) expect(leg.notes.load.cue).toBe('Sit and stop');
  expect(onScale(noted, 1)).toBe(noted);
});
