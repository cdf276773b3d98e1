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
import { remember, remembered } from '../../device/preferences.js';
import { epochNow } from '../../drill/set-clock.js';

const TICK_MS = 200;
/** A block that began so long ago is not gone on with: somebody forgot to end the session, ms. */
const LONGEST_MS = 12 * 3_600_000;

/** A session that is run: it goes on where it was when the page is opened again. */
export function useRunningPlan(planId: string, session: Session) {
  const name = `plan-run.${planId}`;
  const [run, setRun] = useState(() => {
    const kept = remembered<PlanRun | null>(name, null);
    const isOfToday = kept !== null && epochNow() - kept.startedAtMs < LONGEST_MS;
    return isOfToday ? kept : beginPlan(session, epochNow());
  });
  useEffect(() => void remember(name, run), [name, run]);
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
    isOver: run.place >= session.blocks.length,
    toBlock: (place: number) => change(toBlock(session, run, place, epochNow())),
    pause: () => change(paused(run, epochNow())),
    present: (athleteIds: readonly string[]) =>
      change(withPresent(session, run, athleteIds, epochNow())),
  };
}
