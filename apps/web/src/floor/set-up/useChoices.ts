import { useSearchParams } from 'react-router';
import { useRemembered } from '../../device/useRemembered.js';
import { NOTHING_AT_STAKE, USUAL_CHOICES, type DrillChoices } from '../plan-drill.js';

/** The most a test of the address may ask. */
const MOST_TEST_REPS = 60;

/** Reps of the standard test that the address asks for; `null` for an ordinary set. */
export function useTestReps(): number | null {
  const [params] = useSearchParams();
  const reps = Number(params.get('test') ?? NaN);
  return Number.isInteger(reps) && reps >= 1 && reps <= MOST_TEST_REPS ? reps : null;
}

/** The choices as they are kept: that nobody times is kept for one athlete only. */
interface KeptChoices extends DrillChoices {
  readonly untimedFor?: string | null;
}

/**
 * The choices of last time; what they do not say yet is as usual. That nobody times was meant for the
 * athlete it was chosen for: a set of the next one would be lost to the ladder unnoticed. A standard test is always run the
 * same way: only what times it can be chosen.
 */
export function useChoices(athleteId: string): [DrillChoices, (choices: DrillChoices) => void] {
  const testReps = useTestReps();
  const [kept, remember] = useRemembered<KeptChoices>('drill-choices', USUAL_CHOICES);
  const keep = (next: DrillChoices) =>
    remember({ ...next, untimedFor: next.source === 'none' ? athleteId : null });
  const { untimedFor = null, ...last } = kept;
  const isOthers = last.source === 'none' && untimedFor !== athleteId;
  const choices = {
    ...USUAL_CHOICES,
    ...last,
    ...(isOthers && { source: USUAL_CHOICES.source }),
    conditions: { ...USUAL_CHOICES.conditions, ...last.conditions },
  };
  if (testReps === null) return [choices, keep];
  return [
    {
      ...USUAL_CHOICES,
      source: choices.source,
      reps: testReps,
      conditions: { ...USUAL_CHOICES.conditions, ...NOTHING_AT_STAKE },
    },
    ({ source }) => keep({ ...choices, source }),
  ];
}
