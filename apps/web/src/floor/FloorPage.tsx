import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { holdDrill } from '../log/drill-lock.js';
import { useSender } from '../log/sender-context.js';
import { ChooseAthlete } from './ChooseAthlete.js';
import { DrillScreen } from './DrillScreen.js';
import { SetUp } from './SetUp.js';
import { Session } from '../drill/session.js';
import type { DrillPlan } from '../drill/run.js';
import { epochNow, SetClock } from '../drill/set-clock.js';
import { allowSound } from '../sound/audio.js';
import { Unfinished } from './Unfinished.js';

/** The floor: choose who, settle what, run the set. */
export function FloorPage(): ReactElement {
  const { athleteId } = useParams();
  const sender = useSender();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [session, setSession] = useState<Session | null>(null);

  const start = async (plan: DrillPlan) => {
    await allowSound();
    setSession(await Session.start(plan, sender));
  };

  const goOn = async (drillId: string) => {
    await allowSound();
    const restored = await Session.restore(drillId, sender);
    if (!restored) return;
    const clock = new SetClock(Date.parse(restored.snapshot().run.plan.startedAt));
    await restored.commit({ type: 'resumed', atMs: clock.now() });
    setSession(restored);
  };

  const endThere = async (drillId: string) => {
    const restored = await Session.restore(drillId, sender);
    await restored?.commit({ type: 'ended', at: new Date(epochNow()).toISOString() });
  };

  // Leaving by the browser's own way back must not leave cues running.
  useEffect(() => {
    if (!session) return;
    const letGo = holdDrill(session.snapshot().run.plan.id);
    return () => {
      void session.commit({ type: 'paused' });
      letGo();
    };
  }, [session]);

  if (session) {
    return (
      <DrillScreen
        session={session}
        onLeave={() => {
          const { run } = session.snapshot();
          setSession(null);
          void client.invalidateQueries();
          void navigate(run.recorded.length > 0 ? `/review/${run.plan.id}` : '/');
        }}
      />
    );
  }
  return (
    <>
      <Unfinished onGoOn={(id) => void goOn(id)} onEnd={endThere} />
      {athleteId ? (
        <SetUp key={athleteId} athleteId={athleteId} onStart={start} />
      ) : (
        <ChooseAthlete />
      )}
    </>
  );
}
