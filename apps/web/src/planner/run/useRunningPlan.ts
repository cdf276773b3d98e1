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
import { v7 } from 'uuid';
import { endRun, keepRun, keptRun, type Running } from '../../device/running-plan.js';
import { epochNow } from '../../drill/set-clock.js';

const TICK_MS = 200;
/** A block that began so long ago is not gone on with: somebody forgot to end the session, ms. */
const LONGEST_MS = 12 * 3_600_000;

/** A session that is run: it goes on where it was when the page is opened again. */
export function useRunningPlan(planId: string, session: Session) {
  const [{ sessionId, run }, setRunning] = useState((): Running => {
    const kept = keptRun(planId);
    return kept !== null && epochNow() - kept.run.startedAtMs < LONGEST_MS
      ? kept
      : { sessionId: v7(), run: beginPlan(session, epochNow()) };
  });
  useEffect(() => keepRun(planId, { sessionId, run }), [planId, sessionId, run]);
  const [nowMs, setNowMs] = useState(epochNow);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(epochNow()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const now: PlanNow = nowIn(session, run, nowMs);
  const change = (next: PlanRun) => {
    setRunning({ sessionId, run: next });
    setNowMs(epochNow());
  };
  return {
    ...{ sessionId, run, now },
    toBlock: (place: number) => change(toBlock(session, run, place, epochNow())),
    end: () => endRun(planId),
    pause: () => change(paused(run, epochNow())),
    present: (athleteIds: readonly string[]) =>
      change(withPresent(session, run, athleteIds, epochNow())),
  };
}
