import { replay } from '@orthokin/core/run';
import type { EventName } from '@orthokin/core/timing';
import type { Action, DrillPlan, Run } from '../src/drill/plan.js';
import { PLAN } from './plan.js';

/** A cue, on the set's clock. */
export const cued = (repId: string, atMs: number): Action => ({
  type: 'cued',
  repId,
  cue: { name: 'cue', atMs, sdMs: 4.8, source: 'sensor' },
});

/** A press of the hand. */
export const press = (name: EventName, atMs: number): Action => ({
  type: 'event',
  event: { name, atMs, sdMs: 45, source: 'hand' },
});

/** A whole rep by hand: first move, action 900 ms and home 1,800 ms after the cue. */
export const rep = (repId: string, atMs: number, reactionMs = 250): Action[] => [
  cued(repId, atMs),
  press('firstMove', atMs + reactionMs),
  press('action', atMs + 900),
  press('home', atMs + 1800),
];

/** A set as far as these actions bring it. */
export function runOf(actions: readonly Action[], plan: DrillPlan = PLAN): Run {
  const run = replay([{ type: 'started', plan }, ...actions]);
  if (!run) throw new Error('A started drill has a run.');
  return run;
}
