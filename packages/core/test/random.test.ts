import fc from 'fast-check';
import { normal, exponential, seededRandom, shuffled } from '@orthokin/core/cue';
import { mean, sd } from '@orthokin/core/numeric';

describe('seeded random numbers', () => {
  test('the same seed gives the same stream, another seed another', () => {
    const take = (seed: number) => Array.from({ length: 50 }, seededRandom(seed));
    expect(take(7)).toEqual(take(7));
    expect(take(7)).not.toEqual(take(8));
    expect(take(7).every((x) => x >= 0 && x < 1)).toBe(true);
  });

  test('samples have the mean and spread they were asked for', () => {
    const random = seededRandom(11);
    const normals = Array.from({ length: 20_000 }, () => normal(random, 250, 30));
    expect(mean(normals)).toBeCloseTo(250, 0);
    expect(sd(normals)).toBeCloseTo(30, 0);
    expect(mean(Array.from({ length: 20_000 }, () => exponential(random, 40)))).toBeCloseTo(
      40,
      -0.5,
    );
  });

  test('shuffling keeps every item and leaves the input alone', () => {
    fc.assert(
      fc.property(fc.array(fc.nat()), fc.nat(), (items, seed) => {
        const before = [...items];
        const shuffledItems = shuffled(items, seededRandom(seed));
        expect(shuffledItems.toSorted((a, b) => a - b)).toEqual(items.toSorted((a, b) => a - b));
        expect(items).toEqual(before);
      }),
    );
  });
});
