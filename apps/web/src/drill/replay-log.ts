import { replay } from '@orthokin/core/run';
import type { Action, Run } from './plan.js';

/** The run that this device's own log of a drill is; `null` of an empty one. */
export const replayLog = (kept: readonly unknown[]): Run | null =>
  // Only sessions write the log, and what they write is actions.
  replay(kept as readonly Action[]);
