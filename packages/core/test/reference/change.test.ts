import { sd } from '@orthokin/core/numeric';
import {
  detectableChange,
  minimalDetectableChange,
  readChange,
  smallestWorthwhileChange,
  typicalError,
} from '@orthokin/core/stats';
import { expectClose, reference } from './reference.js';

interface Changes {
  relativeTolerance: number;
  cases: {
    test: number[];
    retest: number[];
    typicalError: number;
    minimalDetectableChange95: number;
    betweenAthleteSd: number;
    smallestWorthwhileChange: number;
    observedChange: number;
    probabilityFasterThanSwc: number;
    probabilitySlowerThanSwc: number;
    beyondMdc: boolean;
  }[];
}

const file = reference('change') as Changes;
const close = (actual: number, expected: number) =>
  expectClose(actual, expected, file.relativeTolerance);

test.each(file.cases.map((given, i) => [i + 1, given] as const))('change %i', (_, given) => {
  const error = typicalError(given.test, given.retest);
  close(error, given.typicalError);
  close(minimalDetectableChange(error), given.minimalDetectableChange95);
  close(sd(given.test), given.betweenAthleteSd);
  const worthwhile = smallestWorthwhileChange(given.test);
  close(worthwhile, given.smallestWorthwhileChange);
  // A typical error that is known for certain: infinitely many degrees of freedom.
  const estimate = { change: given.observedChange, sd: Math.SQRT2 * error, df: Infinity };
  const change = readChange(estimate, worthwhile);
  close(change.fasterChance, given.probabilityFasterThanSwc);
  close(change.slowerChance, given.probabilitySlowerThanSwc);
  expect(Math.abs(given.observedChange) > detectableChange(estimate)).toBe(given.beyondMdc);
});
