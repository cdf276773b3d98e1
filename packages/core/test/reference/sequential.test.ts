import { posteriorOf, sequentialTest, wilson } from '@orthokin/core/progress';
import { expectClose, reference } from './reference.js';

interface Sequential {
  relativeTolerance: number;
  cases: {
    p0: number;
    p1: number;
    alpha: number;
    beta: number;
    passes: number[];
    upper: number;
    lower: number;
    path: number[];
    decision: string;
    decidedAt: number | null;
  }[];
  posterior: {
    passes: number;
    trials: number;
    priorA: number;
    priorB: number;
    threshold: number;
    probabilityAbove: number;
    posteriorMean: number;
    interval90: [number, number];
  }[];
  wilson: { passes: number; trials: number; wilson95: [number, number] }[];
}

const file = reference('sequential') as Sequential;
const tolerance = file.relativeTolerance;

/** How the states are called where these values come from. */
const CALLED: Readonly<Record<string, string>> = {
  ready: 'accept-ready',
  'not ready': 'accept-not-ready',
};

test.each(file.cases.map((given, i) => [i + 1, given] as const))('test %i', (_, given) => {
  const test = sequentialTest(given.passes, { kind: 'sequential', ...given });
  expectClose(test.upper, given.upper, tolerance);
  expectClose(test.lower, given.lower, tolerance);
  expect(test.path).toHaveLength(given.path.length);
  for (const [i, at] of test.path.entries()) expectClose(at, given.path[i] ?? NaN, tolerance);
  expect(test.decidedAt).toBe(given.decidedAt);
  if (test.decidedAt === null) expect(test.state).toBe('undecided');
  else expect(CALLED[test.state]).toBe(given.decision);
});

test.each(file.posterior.map((given, i) => [i + 1, given] as const))('posterior %i', (_, given) => {
  const { passes, trials, priorA, priorB } = given;
  const posterior = posteriorOf(passes, trials, priorA, priorB);
  expectClose(posterior.above(given.threshold), given.probabilityAbove, tolerance);
  expectClose(posterior.mean, given.posteriorMean, tolerance);
  expectClose(posterior.interval90.low, given.interval90[0], tolerance);
  expectClose(posterior.interval90.high, given.interval90[1], tolerance);
});

test.each(file.wilson.map((given, i) => [i + 1, given] as const))('Wilson %i', (_, given) => {
  const { low, high } = wilson(given.passes, given.trials);
  expectClose(low, given.wilson95[0], tolerance);
  expectClose(high, given.wilson95[1], tolerance);
});
