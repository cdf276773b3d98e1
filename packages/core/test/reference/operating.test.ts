import { operatingOf, setPassProbability, steady, USUAL_OUTLOOK } from '@orthokin/core/progress';
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

test.each(file.cases.map((given, i) => [i + 1, given] as const))('rule %i, exactly', (_, given) => {
  const { setsNeeded, ofLast, repsPerSet, passesNeededPerSet, repPassProbability, withinSets } =
    given;
  const setPass = setPassProbability(repsPerSet, passesNeededPerSet, repPassProbability);
  expectClose(setPass, given.setPassProbability, file.relativeTolerance);
  const { moved, meanSets } = operatingOf(
    { kind: 'count', setsNeeded, ofLast, distinctDays: 1 },
    steady(repPassProbability),
    { ...USUAL_OUTLOOK, repsPerSet, withinSets, passesNeeded: passesNeededPerSet },
  );
  expectClose(moved, given.probabilityPromoted, file.relativeTolerance);
  expectClose(meanSets, given.expectedSetsRun, file.relativeTolerance);
});
