import fc from 'fast-check';
import { keptRound } from '../src/film/read/frames.js';

describe('frames that are kept decoded', () => {
  test.each([
    ['a small film', 640 * 360, 60],
    ['720p', 1280 * 720, 60],
    ['1080p', 1920 * 1080, 34],
    ['4K', 3840 * 2160, 12],
  ])('of %s: so many', (_, pixels, frames) => {
    const { before, after } = keptRound(pixels);
    expect(before + after).toBe(frames);
  });

  test('of larger frames are never more; there are always some both ways, more of what comes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4e7 }),
        fc.integer({ min: 0, max: 4e7 }),
        (pixels, more) => {
          const [some, fewer] = [keptRound(pixels), keptRound(pixels + more)];
          expect(fewer.before).toBeLessThanOrEqual(some.before);
          expect(fewer.after).toBeLessThanOrEqual(some.after);
          expect(fewer.before).toBeGreaterThan(0);
          expect(fewer.after).toBeGreaterThan(fewer.before);
        },
      ),
    );
  });
});
