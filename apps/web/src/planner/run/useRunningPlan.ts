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
import { useRemembered } from '../../device/useRemembered.js';
import { epochNow } from '../../drill/set-clock.js';

const TICK_MS = 200;

/** A session that is run: it goes on where it was when the page is opened again. */
export function useRunningPlan(planId: string, session: Session) {
  const [run, keep] = useRemembered<PlanRun>(`plan-run.${planId}`, beginPlan(session, epochNow()));
  const [nowMs, setNowMs] = useState(epochNow);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(epochNow()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const now: PlanNow = nowIn(session, run, nowMs);
  const change = (next: PlanRun) => {
    keep(next);
    setNowMs(epochNow());
  };
  return {
    ...{ run, now },
    isOver: run.place >= session.blocks.length,
    toBlock: (place: number) => change(toBlock(session, run, place, epochNow())),
    pause: () => change(paused(run, epochNow())),
    present: (athleteIds: readonly string[]) =>
      change(withPresent(session, run, athleteIds, epochNow())),
  };
}
