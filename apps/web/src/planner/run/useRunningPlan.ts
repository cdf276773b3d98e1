import {
  beginPlan,
  nowIn,
  paused,
  toBlock,
  withPresent,
  type PlanNow,
  type PlanRun,
  type Session,
} from '@orthokin/core/plan';
import { useEffect, useState } from 'react';
import { endRun, keepRun, keptRun } from '../../device/running-plan.js';
import { epochNow } from '../../drill/set-clock.js';

const TICK_MS = 200;
/** A block that began so long ago is not gone on with: somebody forgot to end the session, ms. */
const LONGEST_MS = 12 * 3_600_000;

/** A session that is run: it goes on where it was when the page is opened again. */
export function useRunningPlan(planId: string, session: Session) {
  const [run, setRun] = useState(() => {
    const kept = keptRun(planId);
    const isOfToday = kept !== null && epochNow() - kept.startedAtMs < LONGEST_MS;
    return isOfToday ? kept : beginPlan(session, epochNow());
  });
  useEffect(() => keepRun(planId, run), [planId, run]);
  const [nowMs, setNowMs] = useState(epochNow);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(epochNow()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const now: PlanNow = nowIn(session, run, nowMs);
  const change = (next: PlanRun) => {
    setRun(next);
    setNowMs(epochNow());
  };
  return {
    ...{ run, now },
    toBlock: (place: number) => change(toBlock(session, run, place, epochNow())),
    end: () => endRun(planId),
    pause: () => change(paused(run, epochNow())),
    present: (athleteIds: readonly string[]) =>
      change(withPresent(session, run, athleteIds, epochNow())),
  };
}
