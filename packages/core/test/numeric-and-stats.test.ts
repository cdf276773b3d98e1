import fc from 'fast-check';
import { normalCdf, probabilityAtLeast } from '@orthokin/core/numeric';
import { quantile } from '@orthokin/core/numeric';
import { summariseSet } from '@orthokin/core/stats';
import { readRep } from '@orthokin/core/timing';

test('the normal distribution is symmetric and known at its usual points', () => {
  expect(normalCdf(0)).toBe(0.5);
  expect(normalCdf(1.959963984540054)).toBeCloseTo(0.975, 12);
  expect(normalCdf(-6)).toBeCloseTo(9.865876450377018e-10, 20);
  fc.assert(
    fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (z) => {
      expect(normalCdf(z) + normalCdf(-z)).toBeCloseTo(1, 12);
    }),
  );
});

test('independent trials: equal chances give the binomial, certain ones plain counting', () => {
  // P(X ≥ 8), X ~ Bin(10, 0.8) = 0.6777995264
  expect(probabilityAtLeast(new Array<number>(10).fill(0.8), 8)).toBeCloseTo(0.6777995264, 10);
  expect(probabilityAtLeast([1, 0, 1, 1], 3)).toBe(1);
  expect(probabilityAtLeast([1, 0, 1, 1], 4)).toBe(0);
  expect(probabilityAtLeast([], 0)).toBe(1);
  expect(probabilityAtLeast([0.9], 2)).toBe(0);
});

test('quantiles lie within the data and grow with p', () => {
  const values = fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1 });
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(values, share, share, (x, p, q) => {
      const [low, high] = [quantile(x, Math.min(p, q)), quantile(x, Math.max(p, q))];
      expect(low).toBeLessThanOrEqual(high + 1e-9);
      expect(low).toBeGreaterThanOrEqual(Math.min(...x));
      expect(high).toBeLessThanOrEqual(Math.max(...x));
    }),
  );
});

test('a summary says n, what was left out and why, and flags but keeps the slow', () => {
  const times = [250, 260, 255, 245, 252, 258, 900, 40];
  const readings = times.map((ms, i) =>
    readRep(
      {
        ordinal: i + 1,
        target: 'A',
        events: [
          { name: 'cue', atMs: 0, sdMs: 3, source: 'sensor' },
          { name: 'firstMove', atMs: ms, sdMs: 4, source: 'hand' },
        ],
        seenFaults: [],
        struckOut: i === 0,
      },
      { falseStartMs: 100, responseLimitMs: 3000, splitWindowMs: [-20, 120] },
    ),
  );
  const summary = summariseSet(readings);
  expect(summary.n).toBe(6);
  expect(summary.leftOut).toEqual([
    { ordinal: 1, why: 'struck out' },
    { ordinal: 8, why: 'false start' },
  ]);
  expect(summary.durations.reaction).toMatchObject({
    n: 6,
    medianMs: 256.5,
    errorSdMs: 5,
    slowOrdinals: [7],
  });
  expect(summary.durations.recovery).toBeUndefined();
});
