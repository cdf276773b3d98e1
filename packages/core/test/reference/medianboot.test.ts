import {
  bootstrapMoments,
  bootstrapQuantile,
  medianBootstrap,
  medianInterval,
} from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface MedianBoots {
  relativeTolerance: number;
  cases: {
    values: number[];
    median: number;
    mean: number;
    sd: number;
    z0: number;
    acceleration: number;
    percentile: [number, number];
    bca: [number, number];
  }[];
}

const file = reference('medianboot') as MedianBoots;
const close = (actual: number, expected: number) =>
  expectClose(actual, expected, file.relativeTolerance);

test.each(file.cases.map((given) => [given.values.length, given] as const))(
  'bootstrap of the median of %i values',
  (_, given) => {
    const boot = medianBootstrap(given.values);
    if (!boot) throw new Error('no distribution');
    close(boot.median, given.median);
    const { mean, sd } = bootstrapMoments(boot);
    close(mean, given.mean);
    close(sd, given.sd);
    close(boot.z0, given.z0);
    close(boot.acceleration, given.acceleration);
    close(bootstrapQuantile(boot, 0.025), given.percentile[0]);
    close(bootstrapQuantile(boot, 0.975), given.percentile[1]);
    const interval = medianInterval(given.values);
    close(interval?.low ?? NaN, given.bca[0]);
    close(interval?.high ?? NaN, given.bca[1]);
  },
);
