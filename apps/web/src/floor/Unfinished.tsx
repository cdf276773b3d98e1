import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { isBeingRun } from '../log/drill-lock.js';
import { actionsOf, openDrills } from '../log/drill-log.js';
import { Button } from '../parts/Button.js';
import { timeWords } from '../parts/format.js';
import { Notice } from '../parts/Notice.js';
import { turnOf } from '../drill/course.js';
import { finishedReps, replay, type Run } from '../drill/run.js';
import { brokenOffCourse, setupOf, type KeptCourse } from './kept-course.js';

const Band = styled.div`
  padding: 16px 28px 0;
  max-width: 1360px;
  margin: 0 auto;
`;

async function newestUnfinished(): Promise<Run | null> {
  for (const { id } of await openDrills())
    // One that another tab is running is not broken off.
    if (!(await isBeingRun(id))) return replay(await actionsOf(id));
  return null;
}

/** What was left lying on this device. */
interface Left {
  readonly run: Run | null;
  readonly course: KeptCourse | null;
}

const NOTHING: Left = { run: null, course: null };

const whatIsLeft = async (): Promise<Left> => ({
  run: await newestUnfinished(),
  course: await brokenOffCourse(),
});

/** The sets still to come of a course, in words. */
function courseWords({ course, ...kept }: KeptCourse): string {
  const turn = turnOf(course);
  const next = (turn && setupOf(kept, turn.athleteId)?.athlete.name) ?? '';
  return `set ${course.place + 1} of ${course.turns.length}, ${next}`;
}

/**
 * A set, or a course of sets, that was broken off by a closed tab or a dead battery: go on with
 * it, or end it there.
 */
export function Unfinished({
  onGoOn,
  onRest,
  onEnd,
}: {
  /** The course comes with it when the set is one of its. */
  onGoOn: (drillId: string, course: KeptCourse | null) => void;
  /** Broken off between two sets. */
  onRest: (course: KeptCourse) => void;
  onEnd: (drillId: string | null) => Promise<void>;
}): ReactElement | null {
  const [{ run, course }, setLeft] = useState<Left>(NOTHING);
  useEffect(() => {
    // A browser without storage has nothing unfinished to offer.
    whatIsLeft().then(setLeft, () => setLeft(NOTHING));
  }, []);
  const isOfCourse = course !== null && course.on === (run?.plan.id ?? null);
  const end = async () => {
    await onEnd(run?.plan.id ?? null);
    setLeft(await whatIsLeft());
  };
  if (!run)
    return !isOfCourse ? null : (
      <Band>
        <Notice
          action={
            <>
              <Button weight="main" onPress={() => onRest(course)}>
                Go on with the sets
              </Button>
              <Button onPress={() => void end()}>End them there</Button>
            </>
          }
        >
          Sets after one another were broken off before {courseWords(course)}. What was done is
          kept.
        </Notice>
      </Band>
    );
  const { id, athlete, reps, startedAt } = run.plan;
  return (
    <Band>
      <Notice
        action={
          <>
            <Button weight="main" onPress={() => onGoOn(id, isOfCourse ? course : null)}>
              Go on with the set
            </Button>
            <Button onPress={() => void end()}>End it there</Button>
          </>
        }
      >
        A set with {athlete.name} at {timeWords(startedAt)} was broken off after{' '}
        {finishedReps(run).length} of {reps} reps. Nothing of those is lost.
        {isOfCourse && course.course.turns.length > 1 && ` It is ${courseWords(course)}.`}
      </Notice>
    </Band>
  );
}
