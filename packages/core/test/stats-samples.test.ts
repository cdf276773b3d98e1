import fc from 'fast-check';
import { exponential, normal, seededRandom } from '@orthokin/core/cue';
import {
  median,
  medianInPlace,
  quartiles,
  quartilesInPlace,
  minimise,
  minimiseBetween,
  normalCdf,
  normalQuantile,
  leastSquares,
} from '@orthokin/core/numeric';
import {
  asymmetry,
  bootstrapInterval,
  bootstrapInterval2,
  compareTimes,
  contains,
  fitExGaussian,
  hickLine,
  kendall,
  quantileCurve,
  shiftInterval,
  slopeInterval,
} from '@orthokin/core/stats';

const times = fc.array(fc.integer({ min: 100, max: 2000 }), { minLength: 1, maxLength: 60 });
const sampleOf = (n: number, seed: number, mean = 500, sd = 60): number[] => {
  const random = seededRandom(seed);
  return Array.from({ length: n }, () => normal(random, mean, sd));
};

test('a normal quantile is the inverse of the distribution, deep into both tails', () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-12, max: 1 - 1e-12, noNaN: true }), (p) => {
      expect(Math.abs(normalCdf(normalQuantile(p)) / p - 1)).toBeLessThan(1e-10);
    }),
  );
  expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 12);
});

test('the quick quartiles are the quartiles', () => {
  fc.assert(
    fc.property(times, (values) => {
      expect(medianInPlace(Float64Array.from(values))).toBe(median(values));
      for (const [i, value] of quartilesInPlace(Float64Array.from(values)).entries())
        expect(value).toBeCloseTo(quartiles(values)[i] ?? NaN, 9);
    }),
  );
  expect(medianInPlace(new Float64Array(0))).toBeNaN();
});

test('the least value of a valley is found, in one number and in several', () => {
  expect(minimiseBetween((x) => (x - 2) ** 2, -5, 9, 1e-7)).toBeCloseTo(2, 5);
  const banana = ([x = 0, y = 0]: readonly number[]) => (1 - x) ** 2 + 100 * (y - x * x) ** 2;
  const { at } = minimise(banana, [-1.2, 1], [0.5, 0.5], 1e-14, 2000);
  expect(at[0]).toBeCloseTo(1, 4);
  expect(at[1]).toBeCloseTo(1, 4);
});

test('a least-squares line goes through points on a line', () => {
  const line = leastSquares([1, 2, 3, 4], [3, 5, 7, 9]);
  expect(line).toMatchObject({ slope: 2, intercept: 1, r2: 1, rss: 0 });
});

describe('bootstrap', () => {
  const settings = (seed: number, resamples = 800) => ({ resamples, random: seededRandom(seed) });

  test('nineteen intervals in twenty hold the true median, also of skewed times', () => {
    const random = seededRandom(5);
    const trueMedian = 100 * Math.LN2;
    let held = 0;
    for (let n = 0; n < 300; n++) {
      const sample = Array.from({ length: 30 }, () => exponential(random, 100));
      const interval = bootstrapInterval(sample, medianInPlace, settings(n, 400));
      if (interval && contains(interval, trueMedian)) held++;
    }
    expect(held / 300).toBeGreaterThan(0.9);
    expect(held / 300).toBeLessThan(0.985);
  });

  test('the same stream gives the same interval, and moving all times moves it along', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 900 }), { minLength: 3, maxLength: 40 }),
        fc.integer({ min: -100, max: 100 }),
        (sample, by) => {
          const first = bootstrapInterval(sample, medianInPlace, settings(9, 200));
          const moved = bootstrapInterval(
            sample.map((each) => each + by),
            medianInPlace,
            settings(9, 200),
          );
          expect(moved?.low).toBe((first?.low ?? NaN) + by);
          expect(moved?.high).toBe((first?.high ?? NaN) + by);
          expect(first?.low).toBeLessThanOrEqual(first?.high ?? NaN);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('two samples: a difference that is there, and one that is not', () => {
    const difference = (a: Float64Array, b: Float64Array) => medianInPlace(a) - medianInPlace(b);
    const [slow, fast, alike] = [sampleOf(40, 1, 560), sampleOf(40, 2, 480), sampleOf(40, 3, 480)];
    const real = bootstrapInterval2(slow, fast, difference, settings(1));
    expect(real?.low).toBeGreaterThan(0);
    const none = bootstrapInterval2(fast, alike, difference, settings(2));
    expect(none && contains(none, 0)).toBe(true);
  });

  test('too few values have no interval; progress grows from 0', () => {
    expect(bootstrapInterval([1, 2], medianInPlace, settings(1))).toBeNull();
    expect(bootstrapInterval2([1, 2], [1, 2, 3], () => 0, settings(1))).toBeNull();
    const told: number[] = [];
    bootstrapInterval([1, 2, 3], medianInPlace, {
      ...settings(1, 1000),
      progress: (share) => told.push(share),
    });
    expect(told).toEqual([0, 0.25, 0.5, 0.75]);
  });
});

test('a shift between two groups moves with them, and its interval holds it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1000 }),
      fc.integer({ min: -80, max: 80 }),
      (seed, by) => {
        const x = sampleOf(14, seed);
        const compared = compareTimes(
          x,
          x.map((each) => each + by),
        );
        expect(compared?.shiftMs).toBeCloseTo(by, 6);
        expect(compared?.interval && contains(compared.interval, compared.shiftMs)).toBe(true);
      },
    ),
    { numRuns: 40 },
  );
  expect(compareTimes([1, 2, 3], [1, 2, 3, 4])).toBeNull();
  expect(shiftInterval([1, 2], [3, 4])).toBeNull();
});

test('a quantile curve climbs from the least time to the greatest', () => {
  fc.assert(
    fc.property(times, (values) => {
      const curve = quantileCurve(values, 11);
      expect(curve[0]).toEqual([0, Math.min(...values)]);
      expect(curve.at(-1)).toEqual([1, Math.max(...values)]);
      for (const [i, [, ms]] of curve.entries())
        expect(ms).toBeGreaterThanOrEqual((curve[i - 1]?.[1] ?? 0) - 1e-9);
    }),
  );
});

describe('ex-Gaussian', () => {
  const drawn = (n: number, mu: number, sigma: number, tau: number) => {
    const random = seededRandom(n + tau);
    return Array.from(
      { length: n },
      () => normal(random, mu, sigma) + (tau > 0 ? exponential(random, tau) : 0),
    );
  };

  test('what times were drawn from is found again, within its own doubt', () => {
    const fit = fitExGaussian(drawn(1500, 220, 20, 60));
    if (!fit.ok) throw new Error(fit.problem.allowed);
    const { mu, sigma, tau, se } = fit.value;
    for (const [found, planted, error] of [
      [mu, 220, se.mu],
      [sigma, 20, se.sigma],
      [tau, 60, se.tau],
    ] as const) {
      expect(error).toBeGreaterThan(0);
      expect(Math.abs(found - planted)).toBeLessThan(3 * error);
    }
  });

  test('times without a tail are fitted with next to none', () => {
    const fit = fitExGaussian(drawn(800, 300, 25, 0));
    if (!fit.ok) throw new Error(fit.problem.allowed);
    expect(fit.value.tau).toBeLessThan(12);
    expect(fit.value.mu + fit.value.tau).toBeCloseTo(300, -1);
  });

  test('too few times, or all alike, are refused by name', () => {
    expect(fitExGaussian(sampleOf(39, 1))).toMatchObject({
      ok: false,
      problem: { field: 'times', given: '39', allowed: 'at least 40 times' },
    });
    expect(fitExGaussian(new Array<number>(50).fill(300)).ok).toBe(false);
  });
});

test('a line of choice needs three different numbers of targets', () => {
  expect(hickLine([2, 2, 4, 4], [300, 310, 400, 390])).toMatchObject({
    ok: false,
    problem: { given: '2' },
  });
});

test('sides that differ are called different, sides alike are not', () => {
  const settings = { resamples: 800, random: seededRandom(3) };
  const weak = asymmetry(sampleOf(20, 1, 560, 30), sampleOf(20, 2, 500, 30), settings);
  expect(weak?.isDifferent).toBe(true);
  expect(weak?.percent).toBeGreaterThan(5);
  const even = asymmetry(sampleOf(20, 3, 500, 30), sampleOf(20, 4, 500, 30), settings);
  expect(even?.isDifferent).toBe(false);
  expect(asymmetry([1, 2, 3], [1, 2, 3, 4], settings)).toBeNull();
});

test('two figures that rise together have tau 1; with ties or alone they say less', () => {
  expect(kendall([1, 2, 3, 4, 5, 6, 7], [2, 3, 5, 7, 11, 13, 17])).toMatchObject({ tau: 1 });
  expect(kendall([1, 2, 3, 4, 5, 6, 7], [2, 3, 5, 7, 11, 13, 17]).p).toBeLessThan(0.01);
  expect(kendall([1, 2, 3], [5, 5, 5])).toMatchObject({ tau: 0, p: 1 });
  expect(kendall([1], [1])).toMatchObject({ tau: 0, p: 1 });
});

test('the interval of a slope holds it, and is none where there are too few points', () => {
  const random = seededRandom(4);
  const rising = Array.from({ length: 20 }, (_, i) => 500 + 4 * i + normal(random, 0, 10));
  const interval = slopeInterval(rising);
  expect(interval && contains(interval, 4)).toBe(true);
  expect(interval?.low).toBeGreaterThan(0);
  expect(slopeInterval([1, 2, 3])).toBeNull();
});
