import { COURT_NAMES, courtOf } from '@orthokin/core/floor';
import { checkFootwork } from '@orthokin/core/footwork';
import { checkPattern } from '@orthokin/core/pattern';
import { RETURN_STEPS, returnLadder } from '@orthokin/core/people';
import { firstPattern } from '@orthokin/core/progress';

describe.each(COURT_NAMES)('a first pattern on %s', (court) => {
  const made = (['right', 'left'] as const).map((hand) =>
    firstPattern({ name: 'First steps', sport: 'a sport', court, hand }),
  );

  test.each(made)('for the $hand hand can be saved, run and climbed', (pattern) => {
    expect(checkPattern(pattern).ok).toBe(true);
    expect(pattern.name).toBe('First steps');
    expect(pattern.legs).toHaveLength(pattern.targets.length);
    expect(pattern.rungs.length).toBeGreaterThanOrEqual(4);
    expect(checkFootwork(pattern)).toEqual([]);
  });

  test.each(made)('for the $hand hand lies inside the floor', ({ home, sizeM, targets }) => {
    const { widthM, lengthM } = courtOf(court, sizeM);
    for (const { at } of targets) {
      expect(Math.abs(home.onCourt.x + at.x)).toBeLessThanOrEqual(widthM / 2);
      expect(home.onCourt.y + at.y).toBeGreaterThanOrEqual(0);
      expect(home.onCourt.y + at.y).toBeLessThanOrEqual(lengthM);
    }
  });

  test('is the mirror image for the other hand', () => {
    const [right, left] = made;
    expect(left?.targets.map(({ at }) => at.x).sort()).toEqual(
      right?.targets.map(({ at }) => (at.x === 0 ? 0 : -at.x)).sort(),
    );
  });
});

describe('a ladder back after an injury', () => {
  const patterns = COURT_NAMES.map((court) =>
    firstPattern({ name: 'Back', sport: 'any', court, hand: 'right' }),
  );

  test.each(patterns)('on $court begins small and straight, and can be saved', (pattern) => {
    const rungs = returnLadder(pattern);
    expect(rungs.map(({ name }) => name)).toEqual([...RETURN_STEPS]);
    expect(checkPattern({ ...pattern, rungs }).ok).toBe(true);
    const scales = rungs.map(({ floorScale }) => floorScale);
    expect(scales).toEqual([...scales].sort((a, b) => a - b));
    const hurry = rungs.map(({ timeFactor }) => -timeFactor);
    expect(hurry).toEqual([...hurry].sort((a, b) => a - b));
    for (const { limitsMs, targets } of rungs) {
      expect(limitsMs).toEqual({});
      expect(targets.length).toBeGreaterThan(0);
    }
  });

  test('its straight step asks for no turn where a way without one is laid', () => {
    const [star] = patterns.filter(({ court }) => court === 'squash');
    if (!star) throw new Error('No squash court.');
    const straight = returnLadder(star).find(({ name }) => name === 'straight');
    for (const letter of straight?.targets ?? [])
      expect(
        star.legs.find(({ target }) => target === letter)?.placements.map(({ kind }) => kind),
      ).not.toContain('turn');
    expect(returnLadder({ ...star, targets: [] })).toEqual([]);
  });
});
