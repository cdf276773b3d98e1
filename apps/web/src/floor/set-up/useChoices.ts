import { useRemembered } from '../../log/useRemembered.js';
import { DEFAULT_CHOICES, type DrillChoices } from './plan-drill.js';

/** The choices of last time; what they do not say yet is as usual. */
export function useChoices(): [DrillChoices, (choices: DrillChoices) => void] {
  const [kept, keep] = useRemembered<DrillChoices>('drill-choices', DEFAULT_CHOICES);
  const choices = {
    ...DEFAULT_CHOICES,
    ...kept,
    conditions: { ...DEFAULT_CHOICES.conditions, ...kept.conditions },
  };
  return [choices, keep];
}
