import { useSearchParams } from 'react-router';
import { useRemembered } from '../../device/useRemembered.js';
import { NOTHING_AT_STAKE, USUAL_CHOICES, type DrillChoices } from '../plan-drill.js';

/** The most reps the address may ask of a test. */
const MOST_TEST_REPS = 60;

/** The number of reps of a standard test, from the address; `null` for an ordinary set. */
export function useTestReps(): number | null {
  const [params] = useSearchParams();
  const reps = Number(params.get('test') ?? NaN);
  return Number.isInteger(reps) && reps >= 1 && reps <= MOST_TEST_REPS ? reps : null;
}

/** The choices as stored. "Nobody times" is stored for one athlete only. */
interface KeptChoices extends DrillChoices {
  readonly untimedFor?: string | null;
}

/**
 * The choices of last time, with defaults for what they lack. "Nobody times" only applies to the athlete it was
 * chosen for: otherwise the next athlete's set would be lost to the ladder unnoticed. A standard test is always run
 * the same way, except for its timing source.
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
