import type { PlanRun } from '@orthokin/core/plan';
import { forget, remember, remembered } from './preferences.js';

const NOW = 'plan-running';
const runName = (planId: string): string => `plan-run.${planId}`;

/** The session that is being run on this device; `null` where none is. */
export const runningPlan = (): string | null => remembered<string | null>(NOW, null);

/** Where a session was when it was last run here; `null` where it was not, or was ended. */
export const keptRun = (planId: string): PlanRun | null =>
  remembered<PlanRun | null>(runName(planId), null);

/** Keeps where a session is that is being run here. */
export function keepRun(planId: string, run: PlanRun): void {
  remember(NOW, planId);
  remember(runName(planId), run);
}

/** It is over. */
export function endRun(planId: string): void {
  forget(NOW);
  forget(runName(planId));
}
