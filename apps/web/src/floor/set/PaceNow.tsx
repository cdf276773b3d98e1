import type { ReactElement } from 'react';
import { secondsWithUnit } from '../../words/format.js';
import { staircaseOf } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { say } from '../../words/floor.js';
import { Pace } from './DrillLayout.js';

/** A staircase's current pace, and what changes it next. */
export function PaceNow({ run }: { run: Run }): ReactElement | null {
  const staircase = staircaseOf(run);
  const { steps } = run.plan.conditions.pace;
  if (!staircase || !steps) return null;
  const { nextMs, pacesMs, row, reversalsMs } = staircase;
  const before = pacesMs.at(-1) ?? nextMs;
  const moved = nextMs < before ? say('quicker') : nextMs > before ? say('slower') : '';
  const toGo = steps.passesInARow - row;
  return (
    <Pace role="status">
      <b>{secondsWithUnit(nextMs)}</b> {say('cue2')} {moved && <strong>{moved}</strong>}{' '}
      {say('quickerAfterTogoReversalReversalsmsReversals', {
        toGo,
        reversalsMs: reversalsMs.length,
        reversals: steps.reversals,
      })}
    </Pace>
  );
}
