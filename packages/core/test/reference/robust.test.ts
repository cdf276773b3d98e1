import {
  coefficientOfVariation,
  mad,
  mean,
  median,
  quantile,
  scaledMad,
  sd,
  trimmedMean,
} from '@orthokin/core/numeric';
import { hodgesLehmannShift, mannWhitney, theilSen } from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface Robust {
  relativeTolerance: number;
  cases: {
    x: number[];
    quantilesType7: Record<string, number>;
    median: number;
    mad: number;
    madScaled: number;
    mean: number;
    sd: number;
    cv: number;
    trimmedMean20: number;
    theilSenSlopePerRep: number;
    theilSenIntercept: number;
  }[];
  twoSamples: {
    x: number[];
    y: number[];
    hodgesLehmannShift: number;
    mannWhitneyU: number;
    mannWhitneyP: number;
    probabilityXGreater: number;
    differenceOfMedians: number;
  }[];
}

const file = reference('robust') as Robust;
const close = (actual: number, expected: number) =>
  expectClose(actual, expected, file.relativeTolerance);

test.each(file.cases.map((given, i) => [i + 1, given] as const))('sample %i', (_, given) => {
  for (const [p, value] of Object.entries(given.quantilesType7))
    close(quantile(given.x, Number(p)), value);
  close(median(given.x), given.median);
  close(mad(given.x), given.mad);
  close(scaledMad(given.x), given.madScaled);
  close(mean(given.x), given.mean);
  close(sd(given.x), given.sd);
  close(coefficientOfVariation(given.x), given.cv);
  close(trimmedMean(given.x, 0.2), given.trimmedMean20);
  const line = theilSen(given.x);
  close(line.slope, given.theilSenSlopePerRep);
  close(line.intercept, given.theilSenIntercept);
});

test.each(file.twoSamples.map((given, i) => [i + 1, given] as const))('pair %i', (_, given) => {
  close(hodgesLehmannShift(given.x, given.y), given.hodgesLehmannShift);
  const { u, p, probabilityXGreater } = mannWhitney(given.x, given.y);
  close(u, given.mannWhitneyU);
  close(p, given.mannWhitneyP);
  close(probabilityXGreater, given.probabilityXGreater);
  close(median(given.x) - median(given.y), given.differenceOfMedians);
});
