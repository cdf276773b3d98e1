import fc from 'fast-check';
import { exponential, normal, seededRandom } from '@orthokin/core/cue';
import {
  median,
  medianInPlace,
  quartiles,
  quartilesInPlace,
  nelderMead,
  goldenSection,
  normalCdf,
  normalQuantile,
  leastSquares,
  climb,
  holm,
  studentCdf,
  studentQuantile,
} from '@orthokin/core/numeric';
import {
  asymmetry,
  compareTimes,
  contains,
  exGaussianLogPdf,
  fitExGaussian,
  hickLine,
  kendall,
  leanChange,
  medianBootstrap,
  medianInterval,
  quantileCurve,
  shiftInterval,
  sideLean,
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
  expect(goldenSection((x) => (x - 2) ** 2, -5, 9, 1e-7)).toBeCloseTo(2, 5);
  const banana = ([x = 0, y = 0]: readonly number[]) => (1 - x) ** 2 + 100 * (y - x * x) ** 2;
  const { at } = nelderMead(banana, [-1.2, 1], [0.5, 0.5], 1e-14, 2000);
  expect(at[0]).toBeCloseTo(1, 4);
  expect(at[1]).toBeCloseTo(1, 4);
});

test('a hill is climbed to its top, or to the edge it may not leave', () => {
  const hill = ([x = 0, y = 0]: readonly number[]) => ({
    value: -((x - 2) ** 2) - 3 * (y + 1) ** 2 - (x - 2) * (y + 1),
    gradient: [-2 * (x - 2) - (y + 1), -6 * (y + 1) - (x - 2)],
    hessian: [
      [-2, -1],
      [-1, -6],
    ],
  });
  const top = climb(hill, [9, 9], [-Infinity, -Infinity], 1e-12).at;
  expect(top[0]).toBeCloseTo(2, 6);
  expect(top[1]).toBeCloseTo(-1, 6);
  // Held at y = 0 the best x is 1.5.
  const edge = climb(hill, [9, 9], [-Infinity, 0], 1e-12).at;
  expect(edge[0]).toBeCloseTo(1.5, 6);
  expect(edge[1]).toBe(0);
});

test('a least-squares line goes through points on a line', () => {
  const line = leastSquares([1, 2, 3, 4], [3, 5, 7, 9]);
  expect(line).toMatchObject({ slope: 2, intercept: 1, r2: 1, rss: 0 });
});

describe('the bootstrap of a median, without drawing', () => {
  test('nineteen intervals in twenty hold the true median, also of skewed times', () => {
    const random = seededRandom(5);
    const trueMedian = 100 * Math.LN2;
    const held = (n: number) =>
      Array.from({ length: 1000 }, () => {
        const interval = medianInterval(Array.from({ length: n }, () => exponential(random, 100)));
        return interval !== null && contains(interval, trueMedian);
      }).filter(Boolean).length / 1000;
    for (const n of [12, 30, 31]) {
      expect(held(n)).toBeGreaterThan(0.92);
      expect(held(n)).toBeLessThan(0.985);
    }
  });

  test('is that of many drawn medians, ties and all', () => {
    const random = seededRandom(6);
    for (const sample of [[3, 3, 5, 7, 7, 8], [1, 2, 2, 4, 9], sampleOf(24, 3).map(Math.round)]) {
      const boot = medianBootstrap(sample);
      if (!boot) throw new Error('no distribution');
      expect(boot.upTo.at(-1)).toBeCloseTo(1, 9);
      const drawn = Array.from({ length: 20_000 }, () =>
        median(sample.map(() => sample[Math.floor(random() * sample.length)] ?? NaN)),
      ).sort((x, y) => x - y);
      for (const [i, value] of boot.values.entries()) {
        const share = drawn.filter((each) => each <= value).length / drawn.length;
        expect(Math.abs(share - (boot.upTo[i] ?? NaN))).toBeLessThan(0.015);
      }
    }
  });

  test('moving all times moves it along; the median lies in it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 900 }), { minLength: 3, maxLength: 40 }),
        fc.integer({ min: -100, max: 100 }),
        (sample, by) => {
          const first = medianInterval(sample);
          const moved = medianInterval(sample.map((each) => each + by));
          expect(moved?.low).toBeCloseTo((first?.low ?? NaN) + by, 9);
          expect(moved?.high).toBeCloseTo((first?.high ?? NaN) + by, 9);
          expect(first && contains(first, median(sample))).toBe(true);
        },
      ),
    );
  });

  test('of many thousands it is as finite as of few; of two there is none', () => {
    const interval = medianInterval(sampleOf(20_000, 2));
    expect(interval?.low).toBeGreaterThan(497);
    expect(interval?.high).toBeLessThan(503);
    expect(medianInterval([1, 2])).toBeNull();
    expect(medianInterval([4, 4, 4])).toEqual({ low: 4, high: 4 });
  });
});

describe('Student’s t', () => {
  const df = fc.double({ min: 0.7, max: 300, noNaN: true });

  test('a quantile is the inverse of the distribution, for any degrees of freedom', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 1 - 1e-6, noNaN: true }), df, (p, degrees) => {
        expect(studentCdf(studentQuantile(p, degrees), degrees)).toBeCloseTo(p, 9);
      }),
    );
  });

  test('is symmetric, heavier in its tails than the normal, and the normal at last', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 6, noNaN: true }), df, (t, degrees) => {
        expect(studentCdf(t, degrees) + studentCdf(-t, degrees)).toBeCloseTo(1, 12);
        expect(studentCdf(-t, degrees)).toBeGreaterThan(normalCdf(-t));
      }),
    );
    expect(studentCdf(-1.3, Infinity)).toBe(normalCdf(-1.3));
    // Tables: t(0.975) of 3 and of 10 degrees.
    expect(studentQuantile(0.975, 3)).toBeCloseTo(3.182446305, 8);
    expect(studentQuantile(0.975, 10)).toBeCloseTo(2.228138852, 8);
  });
});

test('of a family of findings only those stand that stand together', () => {
  expect(holm([0.001, 0.04, 0.012, 0.2], 0.05)).toEqual([true, false, true, false]);
  // A smaller one that fails takes the larger ones with it.
  expect(holm([0.03, 0.03], 0.05)).toEqual([false, false]);
  expect(holm([0.02, 0.04], 0.05)).toEqual([true, true]);
  expect(holm([NaN, 0.001], 0.05)).toEqual([false, true]);
  expect(holm([], 0.05)).toEqual([]);
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

  test('no point nearby is likelier: a search without derivatives finds the same top', () => {
    for (const times of [drawn(120, 240, 30, 70), drawn(300, 300, 45, 15)]) {
      const fit = fitExGaussian(times);
      if (!fit.ok) throw new Error(fit.problem.allowed);
      const { mu, sigma, tau, logLikelihood } = fit.value;
      const { value } = nelderMead(
        ([m = NaN, lnS = NaN, lnT = NaN]) =>
          times.reduce(
            (sum, x) =>
              sum - exGaussianLogPdf(x, { mu: m, sigma: Math.exp(lnS), tau: Math.exp(lnT) }),
            0,
          ),
        [mu + 5, Math.log(sigma) + 0.1, Math.log(tau) - 0.1],
        [10, 0.2, 0.2],
        1e-9,
      );
      expect(logLikelihood).toBeGreaterThan(-value - 1e-4);
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

describe('sides', () => {
  test('that differ are called different, sides alike are not', () => {
    const weak = asymmetry(sampleOf(20, 1, 560, 30), sampleOf(20, 2, 500, 30));
    expect(weak?.isDifferent).toBe(true);
    expect(weak?.percent).toBeGreaterThan(5);
    const even = asymmetry(sampleOf(20, 3, 500, 30), sampleOf(20, 4, 500, 30));
    expect(even?.isDifferent).toBe(false);
    expect(asymmetry([1, 2, 3], [1, 2, 3, 4])).toBeNull();
  });

  test('nineteen intervals in twenty hold the true difference; swapped sides turn it round', () => {
    const random = seededRandom(8);
    const side = (centre: number) => Array.from({ length: 14 }, () => normal(random, centre, 40));
    const found = Array.from({ length: 400 }, () => [side(520), side(500)] as const);
    const truth = (100 * 20) / 510;
    const held = found.filter(([left, right]) => {
      const interval = asymmetry(left, right)?.interval;
      return interval && contains(interval, truth);
    }).length;
    expect(held / found.length).toBeGreaterThan(0.92);
    expect(held / found.length).toBeLessThan(0.985);
    const [left, right] = found[0] ?? [[], []];
    const [there, back] = [asymmetry(left, right), asymmetry(right, left)];
    expect(back?.percent).toBeCloseTo(-(there?.percent ?? NaN), 9);
    // Ends are values of the bootstrap: turned round, the next one to the other side may be taken.
    expect(back?.interval?.low).toBeCloseTo(-(there?.interval?.high ?? NaN), 0);
  });

  test('over days: a steady lean is one, two days are too few, days that all agree are sure', () => {
    const lean = sideLean([[6, 5], [7], [6.5, 5.5], [4]]);
    expect(lean).toMatchObject({ days: 4 });
    expect(lean?.interval.low).toBeGreaterThan(0);
    expect(lean?.p).toBeLessThan(0.01);
    expect(sideLean([[6], [7]])).toBeNull();
    expect(sideLean([[5], [5], [5]])?.p).toBe(0);
    expect(sideLean([[0], [0], [0]])?.p).toBe(1);
  });

  test('a lean is new where the newest days differ from those before, not where they always leaned', () => {
    const random = seededRandom(9);
    const days = (n: number, percent: number) =>
      Array.from({ length: n }, () => [normal(random, percent, 1.5), normal(random, percent, 1.5)]);
    const anew = leanChange(days(8, 0), days(4, 8));
    expect(anew?.p).toBeLessThan(0.001);
    expect(anew).toMatchObject({ daysBefore: 8 });
    expect(leanChange(days(8, 8), days(4, 8))?.p).toBeGreaterThan(0.05);
    expect(leanChange(days(2, 0), days(4, 8))).toBeNull();
  });
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
