import { replay } from '@orthokin/core/run';
import type { Action, Run } from './plan.js';

/** Restores a run from this device's log; `null` if the log is empty. */
export const replayLog = (kept: readonly unknown[]): Run | null =>
  // Only sessions write the log, and they write actions.
  replay(kept as readonly Action[]);
