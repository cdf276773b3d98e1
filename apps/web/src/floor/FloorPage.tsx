import type { SetSource } from '@orthokin/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { allowSound } from '../sound/audio.js';
import { useSender } from '../log/sender-context.js';
import { holdDrill } from '../log/drill-lock.js';
import { workMsOf, type Run } from '../drill/run.js';
import { Session } from '../drill/session.js';
import { epochNow, SetClock } from '../drill/set-clock.js';
import { turnOf } from '../drill/course.js';
import { leaveFullScreen } from '../screens/FullScreen.js';
import { ChooseAthlete } from './ChooseAthlete.js';
import { DrillScreen } from './DrillScreen.js';
import { RestScreen } from './RestScreen.js';
import { SetUp } from './set-up/SetUp.js';
import { Unfinished } from './Unfinished.js';
import { useBeacons } from './beacons/useBeacons.js';
import { useRoom } from './second-screen/useRoom.js';
import type { KeptCourse } from './kept-course.js';
import { useCourse } from './useCourse.js';

/** The floor: choose who, settle what, run the sets. */
export function FloorPage(): ReactElement {
  const { athleteId } = useParams();
  const sender = useSender();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [session, setSession] = useState<Session | null>(null);
  const [rested, setRested] = useState<Run | null>(null);
  const courses = useCourse();
  const room = useRoom();
  const [source, setSource] = useState<SetSource | null>(null);
  const beacons = useBeacons(source === 'sensor');

  const startTurn = async () => {
    await allowSound();
    setSession(await Session.start(await courses.plan(), sender));
    setRested(null);
  };

  const goOn = async (drillId: string, course: KeptCourse | null) => {
    await allowSound();
    if (course) courses.takeUp(course);
    const restored = await Session.restore(drillId, sender);
    if (!restored) return;
    const clock = new SetClock(Date.parse(restored.snapshot().run.plan.startedAt));
    await restored.commit({ type: 'resumed', atMs: clock.now() });
    setSession(restored);
  };

  const goOnResting = async (course: KeptCourse) => {
    await allowSound();
    const last = course.done && (await Session.restore(course.done, sender));
    if (!last) return;
    courses.takeUp(course);
    setRested(last.snapshot().run);
  };

  const endThere = async (drillId: string | null) => {
    courses.drop();
    if (drillId === null) return;
    const restored = await Session.restore(drillId, sender);
    await restored?.commit({ type: 'ended', at: new Date(epochNow()).toISOString() });
  };

  // Leaving by the browser's own way back must not leave cues running.
  useEffect(() => {
    if (!session) return;
    const { id, startedAt } = session.snapshot().run.plan;
    const letGo = holdDrill(id);
    return () => {
      void session.commit({ type: 'paused', atMs: new SetClock(Date.parse(startedAt)).now() });
      letGo();
    };
  }, [session]);

  const leaveCourse = (run: Run | null) => {
    courses.drop();
    setRested(null);
    void leaveFullScreen();
    void client.invalidateQueries();
    void navigate(run && run.recorded.length > 0 ? `/review/${run.plan.id}` : '/');
  };

  const leaveSet = (ended: Session) => {
    const { run } = ended.snapshot();
    setSession(null);
    const stopped = run.endReason === 'stopped early';
    if (courses.course && !stopped && courses.passOn(workMsOf(run))) setRested(run);
    else leaveCourse(run);
  };

  if (session)
    return (
      <DrillScreen
        session={session}
        room={room}
        beacons={beacons}
        goingOn={courses.isLast ? null : 'On to the rest'}
        onLeave={() => leaveSet(session)}
        onNext={() => {
          const { athlete } = session.snapshot().run.plan;
          setSession(null);
          courses.drop();
          void client.invalidateQueries();
          void navigate(`/floor/${athlete.id}`, { replace: true });
        }}
      />
    );
  const { course } = courses;
  if (course && turnOf(course) && rested)
    return (
      <RestScreen
        key={course.place}
        course={course}
        last={rested}
        nameOf={courses.nameOf}
        onStart={startTurn}
        onSkip={() => {
          if (!courses.passOn(null)) leaveCourse(rested);
        }}
        onStop={() => leaveCourse(rested)}
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
            await courses.settle(settled, setup);
            await startTurn();
          }}
        />
      ) : (
        <ChooseAthlete />
      )}
    </>
  );
}
