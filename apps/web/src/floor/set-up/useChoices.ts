import { useSearchParams } from 'react-router';
import { useRemembered } from '../../device/useRemembered.js';
import { USUAL_CHOICES, type DrillChoices } from './plan-drill.js';

/** The most a test of the address may ask. */
const MOST_TEST_REPS = 60;

/** Reps of the standard test that the address asks for; `null` for an ordinary set. */
export function useTestReps(): number | null {
  const [params] = useSearchParams();
  const reps = Number(params.get('test') ?? NaN);
  return Number.isInteger(reps) && reps >= 1 && reps <= MOST_TEST_REPS ? reps : null;
}

/**
 * The choices of last time; what they do not say yet is as usual. A standard test is always run the
 * same way: only what times it can be chosen.
 */
export function useChoices(): [DrillChoices, (choices: DrillChoices) => void] {
  const testReps = useTestReps();
  const [kept, keep] = useRemembered<DrillChoices>('drill-choices', USUAL_CHOICES);
  const choices = {
    ...USUAL_CHOICES,
    ...kept,
    conditions: { ...USUAL_CHOICES.conditions, ...kept.conditions },
  };
  if (testReps === null) return [choices, keep];
  return [
    { ...USUAL_CHOICES, source: choices.source, reps: testReps },
    ({ source }) => keep({ ...choices, source }),
  ];
}
