import fc from 'fast-check';
import { betaCdf, betaQuantile, logGamma } from '@orthokin/core/numeric';
import { posteriorOf, wilson } from '@orthokin/core/progress';

const shape = fc.double({ min: 0.5, max: 60, noNaN: true });
const share = fc.double({ min: 0.001, max: 0.999, noNaN: true });

describe('the beta distribution', () => {
  test('gamma of whole numbers is a factorial; of a half, the root of π', () => {
    for (const [n, factorial] of [
      [1, 1],
      [5, 24],
      [10, 362_880],
    ] as const)
      expect(Math.exp(logGamma(n))).toBeCloseTo(factorial, 6);
    expect(Math.exp(logGamma(0.5))).toBeCloseTo(Math.sqrt(Math.PI), 12);
    expect(Math.exp(logGamma(0.25))).toBeCloseTo(3.6256099082, 9);
  });

  test('of shapes 1 and 1 it is the share itself; mirrored it is one minus itself', () => {
    fc.assert(
      fc.property(share, shape, shape, (x, a, b) => {
        expect(betaCdf(x, 1, 1)).toBeCloseTo(x, 12);
        expect(betaCdf(x, a, b) + betaCdf(1 - x, b, a)).toBeCloseTo(1, 9);
      }),
    );
    expect([betaCdf(-1, 2, 3), betaCdf(0, 2, 3), betaCdf(1, 2, 3), betaCdf(2, 2, 3)]).toEqual([
      ...[0, 0, 1, 1],
    ]);
  });

  test('its quantile is its inverse', () => {
    fc.assert(
      fc.property(share, shape, shape, (p, a, b) => {
        expect(betaCdf(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 7);
      }),
    );
  });
});

describe('what is believed of a pass rate', () => {
  const reps = fc
    .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }))
    .map(([passes, fails]) => [passes, passes + fails] as const);

  test('lies within its interval, and another pass makes more of it', () => {
    fc.assert(
      fc.property(reps, share, ([passes, trials], threshold) => {
        const { mean, interval90, above } = posteriorOf(passes, trials);
        expect(interval90.low).toBeLessThan(mean);
        expect(interval90.high).toBeGreaterThan(mean);
        const after = posteriorOf(passes + 1, trials + 1);
        expect(after.above(threshold)).toBeGreaterThanOrEqual(above(threshold) - 1e-12);
      }),
    );
  });

  test('Wilson’s interval holds the share, narrows with more reps, and is everything without any', () => {
    expect(wilson(0, 0)).toEqual({ low: 0, high: 1 });
    fc.assert(
      fc.property(reps, ([passes, trials]) => {
        fc.pre(trials > 0);
        const { low, high } = wilson(passes, trials);
        expect(low).toBeLessThanOrEqual(passes / trials + 1e-12);
        expect(high).toBeGreaterThanOrEqual(passes / trials - 1e-12);
        const more = wilson(10 * passes, 10 * trials);
        expect(more.high - more.low).toBeLessThan(high - low);
      }),
    );
  });
});
