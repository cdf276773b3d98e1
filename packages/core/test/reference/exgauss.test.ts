import { exGaussianCdf, exGaussianLogPdf, fitExGaussian } from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface ExGauss {
  densityRelativeTolerance: number;
  density: { x: number; mu: number; sigma: number; tau: number; logPdf: number; cdf: number }[];
  cases: { x: number[]; mu: number; sigma: number; tau: number; logLikelihood: number }[];
}

const file = reference('exgauss') as ExGauss;

test.each(file.density.map((given, i) => [i + 1, given] as const))('density %i', (_, given) => {
  expectClose(exGaussianLogPdf(given.x, given), given.logPdf, file.densityRelativeTolerance);
  expectClose(exGaussianCdf(given.x, given), given.cdf, file.densityRelativeTolerance);
});

test.each(file.cases.map((given, i) => [i + 1, given] as const))('fit %i', (_, given) => {
  const fit = fitExGaussian(given.x);
  if (!fit.ok) throw new Error(fit.problem.allowed);
  expect(fit.value.logLikelihood).toBeGreaterThanOrEqual(given.logLikelihood - 0.01);
  for (const name of ['mu', 'sigma', 'tau'] as const)
    expect(Math.abs(fit.value[name] - given[name])).toBeLessThanOrEqual(0.01 * given[name]);
});
