import { COURT_NAMES, courtOf } from '@orthokin/core/floor';
import { checkFootwork } from '@orthokin/core/footwork';
import { checkPattern } from '@orthokin/core/pattern';
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
