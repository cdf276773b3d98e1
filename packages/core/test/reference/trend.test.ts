import { fitLearningCurve, hickLine } from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface Trend {
  relativeTolerance: number;
  cases: {
    choices: number[];
    reaction: number[];
    intercept: number;
    slopePerBit: number;
    r2: number;
    slopeStdErr: number;
  }[];
  learningCurves: {
    session: number[];
    value: number[];
    floor: number;
    gain: number;
    rate: number;
    rss: number;
  }[];
}

const file = reference('trend') as Trend;

test.each(file.cases.map((given, i) => [i + 1, given] as const))('Hick line %i', (_, given) => {
  const line = hickLine(given.choices, given.reaction);
  if (!line.ok) throw new Error(line.problem.allowed);
  expectClose(line.value.interceptMs, given.intercept, file.relativeTolerance);
  expectClose(line.value.msPerBit, given.slopePerBit, file.relativeTolerance);
  expectClose(line.value.r2, given.r2, file.relativeTolerance);
  expectClose(line.value.slopeSe, given.slopeStdErr, file.relativeTolerance);
});

test.each(file.learningCurves.map((given, i) => [i + 1, given] as const))(
  'learning curve %i',
  (_, given) => {
    const curve = fitLearningCurve(given.session, given.value);
    if (!curve.ok) throw new Error(curve.problem.allowed);
    expect(curve.value.rss).toBeLessThanOrEqual(1.001 * given.rss);
  },
);
