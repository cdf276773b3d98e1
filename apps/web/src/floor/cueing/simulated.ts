import { seededRandom, type Cue } from '@orthokin/core/cue';
import { along, HOME, type Point } from '@orthokin/core/floor';
import { targetOf } from '@orthokin/core/pattern';
import { formOn, simulateTrial } from '@orthokin/core/simulation';
import { dayNumber } from '@orthokin/core/stats';
import type { TimedEvent } from '@orthokin/core/timing';
import { finishedReps } from '@orthokin/core/run';
import type { DrillPlan } from '../../drill/plan.js';
import type { Attempt } from './attempt.js';
import type { Cancels } from '../../screens/cancels.js';

/** Where a cue sends the athlete: its target, moved by the helper if so. */
function placeOf({ pattern }: DrillPlan, letter: string, movedM = 0): Point {
  const at = targetOf(pattern, letter)?.at ?? HOME;
  const metres = Math.hypot(at.x, at.y);
  return metres === 0 ? at : along(HOME, at, (metres + movedM) / metres);
}

/** Plays a simulated rep: each event at its time, in the same way as a press. */
export function playSimulated(
  { session, run, clock }: Attempt,
  cue: Cue,
  dueMs: number,
  cancels: Cancels,
): readonly TimedEvent[] {
  const { plan, attempt } = run;
  const { switchTo } = cue;
  const { events, seenFaults } = simulateTrial(
    plan.simulated,
    {
      atMs: dueMs,
      target: placeOf(plan, cue.target, cue.movedM),
      repsBefore: finishedReps(run).length,
      sessionsBefore: plan.sessionsBefore,
      form: formOn(plan.simulated, dayNumber(plan.day)),
    },
    {
      catch: cue.catch ?? false,
      ...(cue.freezeAt && { freezeAt: cue.freezeAt }),
      ...(switchTo && {
        switchTo: { at: placeOf(plan, switchTo.target), afterMs: switchTo.afterMs },
      }),
    },
    seededRandom(plan.seed + attempt),
  );
  for (const event of events.filter(({ name }) => name !== 'cue'))
    cancels.after(
      event.atMs - clock.now(),
      () =>
        void session.commit({
          type: 'event',
          event,
          ...(event.name === 'home' && { seenFaults }),
        }),
    );
  return events;
}
