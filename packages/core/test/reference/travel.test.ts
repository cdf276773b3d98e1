import { fitTravel, travelTime } from '@orthokin/core/budget';
import { expectClose, reference } from './reference.js';

interface Travel {
  relativeTolerance: number;
  cases: { distance: number; acceleration: number; topSpeed: number; time: number }[];
  fits: {
    distance: number[];
    time: number[];
    acceleration: number;
    topSpeed: number;
    rss: number;
  }[];
}

const file = reference('travel') as Travel;

test.each(file.cases.map((given, i) => [i + 1, given] as const))('way %i', (_, given) => {
  expectClose(travelTime(given.distance, given), given.time, file.relativeTolerance);
});

test.each(file.fits.map((given, i) => [i + 1, given] as const))('fit %i', (_, given) => {
  const fit = fitTravel(
    given.distance.map((distanceM, i) => ({ distanceM, timeS: given.time[i] ?? NaN })),
  );
  if (!fit.ok) throw new Error(fit.problem.allowed);
  expect(fit.value.rss).toBeLessThanOrEqual(1.001 * given.rss);
});
