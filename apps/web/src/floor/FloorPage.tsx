import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useBlocker, useNavigate, useParams } from 'react-router';
import { allowSound } from '../sound/audio.js';
import { useOutbox } from '../device/outbox-context.js';
import { holdDrill } from '../device/drill-lock.js';
import { workMsOf, type SetSource } from '@orthokin/core/run';
import type { Run } from '../drill/plan.js';
import { Session } from '../drill/session.js';
import { epochNow, SetClock } from '../drill/set-clock.js';
import { turnOf } from '@orthokin/core/run';
import { leaveFullScreen } from '../screens/FullScreen.js';
import { ChooseAthlete } from './ChooseAthlete.js';
import { DrillScreen } from './set/DrillScreen.js';
import { RestScreen } from './between/RestScreen.js';
import { SetUp } from './set-up/SetUp.js';
import { Unfinished } from './rota/Unfinished.js';
import { useBeacons } from './beacons/useBeacons.js';
import { useClub } from '../api/club.js';
import { useRoom } from '../live/useRoom.js';
import type { KeptRota } from './rota/kept-rota.js';
import { useRunningRota } from './rota/useRunningRota.js';
import { say } from '../words/floor.js';

/** The current time on a set's clock. */
const nowIn = (session: Session): number =>
  new SetClock(Date.parse(session.snapshot().run.plan.startedAt)).now();

const pause = (session: Session): void =>
  void session.commit({ type: 'paused', atMs: nowIn(session) });

/** The floor: choose an athlete, set up, run sets. */
export function FloorPage(): ReactElement {
  const { athleteId } = useParams();
  const outbox = useOutbox();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [session, setSession] = useState<Session | null>(null);
  const [rested, setRested] = useState<Run | null>(null);
  const running = useRunningRota();
  const room = useRoom(useClub().clubId);
  const [source, setSource] = useState<SetSource | null>(null);
  const beacons = useBeacons(source === 'sensor');

  const startTurn = async () => {
    await allowSound();
    setSession(await Session.start(await running.plan(), outbox));
    setRested(null);
  };

  const goOn = async (drillId: string, rota: KeptRota | null) => {
    await allowSound();
    if (rota) running.takeUp(rota);
    const restored = await Session.restore(drillId, outbox);
    if (!restored) return;
    await restored.commit({ type: 'resumed', atMs: nowIn(restored) });
    setSession(restored);
  };

  const goOnResting = async (rota: KeptRota) => {
    await allowSound();
    const last = rota.done && (await Session.restore(rota.done, outbox));
    if (!last) return;
    running.takeUp(rota);
    setRested(last.snapshot().run);
  };

  const endThere = async (drillId: string | null) => {
    running.drop();
    if (drillId === null) return;
    const restored = await Session.restore(drillId, outbox);
    await restored?.commit({ type: 'ended', at: new Date(epochNow()).toISOString() });
  };

  // The browser's Back first stops a running set, and says so; pressed again it leaves.
  const back = useBlocker(() => {
    const state = session?.snapshot().run.state;
    return state === 'waiting' || state === 'cued';
  });
  useEffect(() => {
    if (back.state !== 'blocked' || !session) return;
    pause(session);
    back.reset();
  }, [back, session]);

  // Leaving the page must not leave cues running.
  useEffect(() => {
    if (!session) return;
    const letGo = holdDrill(session.snapshot().run.plan.id);
    return () => {
      pause(session);
      letGo();
    };
  }, [session]);

  const leaveRota = (run: Run | null) => {
    const last = run && run.recorded.length > 0 ? [run.plan.id] : [];
    const done = [...new Set([...running.setsDone(), ...last])];
    running.drop();
    setRested(null);
    void leaveFullScreen();
    void client.invalidateQueries();
    const [only] = done;
    if (done.length > 1) void navigate(`/review/together?sets=${done.join(',')}`);
    else void navigate(only === undefined ? '/' : `/review/${only}`);
  };

  const leaveSet = (ended: Session) => {
    const { run } = ended.snapshot();
    setSession(null);
    const stopped = run.endReason === 'stopped early';
    if (running.rota && !stopped && running.passOn(workMsOf(run))) setRested(run);
    else leaveRota(run);
  };

  if (session)
    return (
      <DrillScreen
        session={session}
        room={room}
        beacons={beacons}
        goingOn={running.isLast ? null : say('rest')}
        onLeave={() => leaveSet(session)}
        onNext={() => {
          const { athlete, pattern } = session.snapshot().run.plan;
          setSession(null);
          running.drop();
          void client.invalidateQueries();
          // Continue with the pattern that was run, which need not be the one the athlete works on.
          void navigate(`/floor/${athlete.id}?pattern=${pattern.id}`, { replace: true });
        }}
      />
    );
  const { rota } = running;
  if (rota && turnOf(rota) && rested)
    return (
      <RestScreen
        key={rota.place}
        rota={rota}
        last={rested}
        nameOf={running.nameOf}
        setupOf={running.setupOf}
        onStart={startTurn}
        onSkip={() => {
          if (!running.passOn(null)) leaveRota(rested);
        }}
        onStop={() => leaveRota(rested)}
      />
    );
  return (
    <>
      <Unfinished
        onGoOn={(id, kept) => void goOn(id, kept)}
        onRest={(kept) => void goOnResting(kept)}
        onEnd={endThere}
      />
      {athleteId ? (
        <SetUp
          key={athleteId}
          athleteId={athleteId}
          room={room}
          beacons={beacons}
          onSource={setSource}
          onStart={async (settled, setup) => {
            await running.settle(settled, setup);
            await startTurn();
          }}
        />
      ) : (
        <ChooseAthlete />
      )}
    </>
  );
}
