import { forget, remember, remembered } from './preferences.js';

const NAME = 'plan-running';

/** The session that is being run on this device; `null` where none is. */
export const runningPlan = (): string | null => remembered<string | null>(NAME, null);

/** A session is run here from now on. */
export const beginRunning = (planId: string): void => void remember(NAME, planId);

/** It is over. */
export const endRunning = (): void => forget(NAME);
