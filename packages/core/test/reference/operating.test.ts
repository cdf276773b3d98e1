import { seededRandom } from '@orthokin/core/cue';
import {
  operatingOfCount,
  setPassProbability,
  simulateRule,
  USUAL_COURSE,
} from '@orthokin/core/progress';
import { expectClose, reference } from './reference.js';

interface OperatingCase {
  setsNeeded: number;
  ofLast: number;
  withinSets: number;
  repsPerSet: number;
  passesNeededPerSet: number;
  repPassProbability: number;
  setPassProbability: number;
  probabilityPromoted: number;
  expectedSetsRun: number;
}

const file = reference('operating') as { relativeTolerance: number; cases: OperatingCase[] };
const ATHLETES = 20_000;

describe.each(file.cases.map((given, i) => [i + 1, given] as const))('rule %i', (i, given) => {
  const { repsPerSet, passesNeededPerSet, repPassProbability, withinSets } = given;

  test('exactly', () => {
    const setPass = setPassProbability(repsPerSet, passesNeededPerSet, repPassProbability);
    expectClose(setPass, given.setPassProbability, file.relativeTolerance);
    const { promoted, expectedSets } = operatingOfCount(given, setPass, withinSets);
    expectClose(promoted, given.probabilityPromoted, file.relativeTolerance);
    expectClose(expectedSets, given.expectedSetsRun, file.relativeTolerance);
  });

  test('simulated, within three standard errors', () => {
    const { setsNeeded, ofLast } = given;
    const outcome = simulateRule(
      { kind: 'count', setsNeeded, ofLast, distinctDays: 1 },
      { passRate: repPassProbability, learning: 0, ceiling: repPassProbability },
      { ...USUAL_COURSE, repsPerSet, withinSets, passesNeeded: passesNeededPerSet },
      ATHLETES,
      seededRandom(i),
    );
    const p = given.probabilityPromoted;
    const se = Math.sqrt((p * (1 - p)) / ATHLETES);
    expect(Math.abs(outcome.moved - p)).toBeLessThanOrEqual(3 * se + 1 / ATHLETES);
    // A course lasts at most `withinSets`, so its sets scatter by no more than half of that.
    const mostSe = withinSets / 2 / Math.sqrt(ATHLETES);
    expect(Math.abs(outcome.meanSets - given.expectedSetsRun)).toBeLessThanOrEqual(3 * mostSe);
  });
});
