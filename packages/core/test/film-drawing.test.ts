import { angleAt, drawnFrom, leanOf } from '@orthokin/core/film';
import fc from 'fast-check';

const place = fc.record({
  x: fc.double({ min: -500, max: 500, noNaN: true }),
  y: fc.double({ min: -500, max: 500, noNaN: true }),
});
const HERE = { x: 0, y: 0 };

describe('what is drawn on a still', () => {
  test.each([
    [{ x: 1, y: 0 }, { x: 0, y: 1 }, 90],
    [{ x: 1, y: 0 }, { x: -1, y: 0 }, 180],
    [{ x: 1, y: 1 }, { x: 2, y: 2 }, 0],
    [{ x: -1, y: -0.01 }, { x: -1, y: 0.01 }, 1.1459],
  ])('from %j to %j are %d degrees', (from, to, degrees) => {
    expect(angleAt(from, HERE, to)).toBeCloseTo(degrees, 3);
  });

  test('an angle is the same from either side, never beyond straight, whatever size the picture has', () => {
    fc.assert(
      fc.property(place, place, fc.double({ min: 0.1, max: 9, noNaN: true }), (a, b, size) => {
        fc.pre(Math.hypot(a.x, a.y) > 1 && Math.hypot(b.x, b.y) > 1);
        const angle = angleAt(a, HERE, b);
        expect(angle).toBeGreaterThanOrEqual(0);
        expect(angle).toBeLessThanOrEqual(180);
        expect(angleAt(b, HERE, a)).toBeCloseTo(angle, 6);
        const larger = (at: typeof a) => ({ x: at.x * size, y: at.y * size });
        expect(angleAt(larger(a), HERE, larger(b))).toBeCloseTo(angle, 6);
      }),
    );
  });

  test('a lean is from upright, whichever end was clicked first', () => {
    expect(leanOf(HERE, { x: 0, y: -10 })).toBeCloseTo(0, 9);
    expect(leanOf(HERE, { x: 10, y: -10 })).toBeCloseTo(45, 9);
    expect(leanOf({ x: 10, y: -10 }, HERE)).toBeCloseTo(45, 9);
    expect(leanOf(HERE, { x: 10, y: 0 })).toBeCloseTo(90, 9);
  });

  test('a thing is there once all its places are', () => {
    const [a, b, c] = [HERE, { x: 1, y: 0 }, { x: 2, y: 2 }];
    expect(drawnFrom('line', [a])).toBeNull();
    expect(drawnFrom('line', [a, b])).toEqual({ kind: 'line', from: a, to: b });
    expect(drawnFrom('angle', [a, b])).toBeNull();
    expect(drawnFrom('angle', [a, b, c])).toEqual({ kind: 'angle', from: a, at: b, to: c });
    expect(drawnFrom('path', [a, b, c])).toBeNull();
    expect(drawnFrom('path', [a], true)).toBeNull();
    expect(drawnFrom('path', [a, b, c], true)).toEqual({ kind: 'path', places: [a, b, c] });
  });
});
