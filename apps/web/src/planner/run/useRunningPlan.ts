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
import {
  endRun,
  keepRun,
  keptRun,
  NOTHING_REACHED,
  type Count,
  type Reached,
  type Running,
} from '../../device/running-plan.js';
import { epochNow } from '../../drill/set-clock.js';
import { counted } from './scores.js';

const TICK_MS = 200;
/** A block that began this long ago is not resumed: somebody forgot to end the session. */
const LONGEST_MS = 12 * 3_600_000;

/** A running session, which resumes where it was when the page is opened again. */
export function useRunningPlan(planId: string, session: Session) {
  const [running, setRunning] = useState((): Running => {
    const kept = keptRun(planId);
    return kept !== null && epochNow() - kept.run.startedAtMs < LONGEST_MS
      ? kept
      : { sessionId: v7(), run: beginPlan(session, epochNow()), ...NOTHING_REACHED };
  });
  const { run } = running;
  useEffect(() => keepRun(planId, running), [planId, running]);
  const [nowMs, setNowMs] = useState(epochNow);
  useEffect(() => {
    const timer = setInterval(() => setNowMs(epochNow()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const now: PlanNow = nowIn(session, run, nowMs);
  const change = (next: PlanRun) => {
    setRunning((was) => ({ ...was, run: next }));
    setNowMs(epochNow());
  };
  return {
    ...{ running, run, now },
    /** The current time, epoch ms. */
    nowMs,
    /** Changes somebody's count in a turn. */
    count: (turn: Omit<Count, 'n'>, by: number) =>
      setRunning((was) => ({ ...was, counts: counted(was.counts, turn, by) })),
    /** Stores the state of a block's game. */
    reach: <What extends 'games' | 'teams' | 'calls'>(
      what: What,
      blockId: string,
      now: Reached[What][string],
    ) => setRunning((was) => ({ ...was, [what]: { ...was[what], [blockId]: now } })),
    toBlock: (place: number) => change(toBlock(session, run, place, epochNow())),
    end: () => endRun(planId),
    pause: () => change(paused(run, epochNow())),
    present: (athleteIds: readonly string[]) =>
      change(withPresent(session, run, athleteIds, epochNow())),
  };
}
