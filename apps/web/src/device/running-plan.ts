import type { PlanRun } from '@orthokin/core/plan';
import { forget, remember, remembered } from './preferences.js';

const NOW = 'plan-running';
const runName = (planId: string): string => `plan-run.${planId}`;

/** A session that is being run here. */
export interface Running {
  /** Under which it is kept when it is over; what is seen meanwhile names it. */
  readonly sessionId: string;
  readonly run: PlanRun;
}

/** The plan of the session that is being run on this device; `null` where none is. */
export const runningPlan = (): string | null => remembered<string | null>(NOW, null);

/** Where a session was when it was last run here; `null` where it was not, or was ended. */
export function keptRun(planId: string): Running | null {
  const kept = remembered<Partial<Running> | null>(runName(planId), null);
  return kept?.run && kept.sessionId ? { run: kept.run, sessionId: kept.sessionId } : null;
}

/** Keeps where a session is that is being run here. */
export function keepRun(planId: string, running: Running): void {
  remember(NOW, planId);
  remember(runName(planId), running);
}

/** It is over. */
export function endRun(planId: string): void {
  forget(NOW);
  forget(runName(planId));
}
