import { useEffect, useState, type ReactElement } from 'react';
import { LEAD_IN_MS } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import type { SetClock } from '../../drill/set-clock.js';
import { planBeep } from '../../sound/audio.js';
import { say } from '../../words/floor.js';
import { Count } from './DrillLayout.js';

const TICK_MS = 100;
const LAST_CALLS_MS = [3000, 2000, 1000];

/** The time left in a timed set, in large figures, with beeps in the last seconds. */
export function WorkLeft({ run, clock }: { run: Run; clock: SetClock }): ReactElement | null {
  const { workEndsMs, state } = run;
  const isRunning = state === 'waiting' || state === 'cued';
  const [leftMs, setLeftMs] = useState<number | null>(null);
  useEffect(() => {
    if (workEndsMs === null || !isRunning) return;
    const workMs = run.plan.conditions.workMs ?? 0;
    const tick = () => setLeftMs(Math.min(workMs, Math.max(0, workEndsMs - clock.now())));
    const timer = setInterval(tick, TICK_MS);
    const beeps = LAST_CALLS_MS.filter((ms) => clock.now() < workEndsMs - ms).map((ms) =>
      planBeep({ hz: 520, lengthS: 0.09, level: 0.3 }, clock.toPage(workEndsMs - ms)),
    );
    return () => {
      clearInterval(timer);
      beeps.forEach((cancel) => cancel());
    };
  }, [workEndsMs, isRunning, clock, run.plan]);
  if (workEndsMs === null) return null;
  const shown = Math.ceil((leftMs ?? workEndsMs - LEAD_IN_MS) / 1000);
  return (
    <Count $large role="timer" aria-label={say('shownSecondsWorkLeft', { shown })}>
      <b>{shown}</b> s
    </Count>
  );
}
