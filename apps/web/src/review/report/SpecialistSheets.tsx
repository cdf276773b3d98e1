import type { AthleteCourseReply, SquadLineReply } from '@orthokin/contract';
import { isItBetter, leanOf, usualSpans, type CourseDuration } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { Explained } from '../../parts/explained/Explained.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { PhaseSwatch } from '../../parts/phases.js';
import { Quiet } from '../../parts/Text.js';
import { CourseChart } from '../athlete/CourseChart.js';
import { kindsOf, type Kind } from '../course-view.js';
import {
  betterSentence,
  doubtSentence,
  settleSentence,
  whyNotSentence,
} from '../../words/change.js';
import {
  leanSentence,
  MEANINGS,
  nextSteps,
  techniqueSentence,
  trainedRows,
} from '../../words/report.js';
import { longDay } from '../../words/format.js';
import { say } from '../../words/review.js';
import { Sheet } from './Sheet.js';
import { TakeCare } from './TakeCare.js';

const DURATIONS: readonly CourseDuration[] = ['reaction', 'recovery', 'cycle'];

/** What was trained, what changed and how sure that is. */
export function FiguresSheet({
  course,
  kind,
  from,
  to,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  from: string;
  to: string;
}): ReactElement {
  const { name } = useClub();
  const { athlete } = course;
  const { before, after, basis } = usualSpans(kind.sets);
  return (
    <Sheet>
      <Quiet>
        {say('nameMovementReportLongdayLongday2', {
          name,
          longDay: longDay(from),
          longDay2: longDay(to),
        })}
      </Quiet>
      <h1>{athlete.name}</h1>
      <p>
        {say('handHandedAgeband', { hand: athlete.hand, ageBand: athlete.ageBand })} {athlete.note}
      </p>
      <h2>{say('whatWasTrained')}</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">{say('pattern2')}</th>
            <th scope="col">{say('days')}</th>
            <th scope="col">{say('sets2')}</th>
            <th scope="col">
              <Explained what="counted">{say('repsCounted')}</Explained>
            </th>
            <th scope="col">{say('rungs')}</th>
          </tr>
        </thead>
        <tbody>
          {trainedRows(kindsOf(course)).map((row) => (
            <tr key={row.words}>
              <td>{row.words}</td>
              <td>{row.days}</td>
              <td>{row.sets}</td>
              <td>{row.reps}</td>
              <td>{row.rungs}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>{say('whatChangedHowSure')}</h2>
      {DURATIONS.map((duration) => {
        const better = isItBetter(before, after, kind.sets, duration, course.squad);
        const isCompared = typeof better !== 'string';
        return (
          <div key={duration} className="change">
            <strong>
              {isCompared ? betterSentence(better, duration) : whyNotSentence(better)}
            </strong>
            <span className="no-print">
              {' '}
              <HowKnown what="change" />
            </span>
            {isCompared && (
              <small>
                {settleSentence(better.change)} {doubtSentence(better)}
              </small>
            )}
          </div>
        );
      })}
      <Quiet style={{ fontSize: 14 }}>
        {say('comparedBasisWords', { basis, words: kind.words })}
      </Quiet>
      <p style={{ marginTop: '2mm' }}>
        {techniqueSentence(kind.sets)} {leanSentence(leanOf(kind.sets))}{' '}
        <span className="no-print">
          <HowKnown what="clean" />
        </span>
      </p>
      <CourseChart course={course} kind={kind} duration="cycle" />
    </Sheet>
  );
}

/** The floor, the words, what comes next, and what to bear in mind. */
export function MethodSheet({
  course,
  kind,
  line,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  line: SquadLineReply | undefined;
}): ReactElement {
  const { athlete } = course;
  return (
    <Sheet>
      <h2 style={{ marginTop: 0 }}>{say('floor')}</h2>
      {kind.pattern && (
        <div className="floor">
          <FloorPlan
            pattern={kind.pattern}
            legend={(letter) => {
              const target = kind.pattern?.targets.find((each) => each.letter === letter);
              return target ? [target.name] : [];
            }}
            label={say('patternHomeBaseItsTargets', { pattern: kind.pattern.name })}
          />
        </div>
      )}
      <h2>{say('whatWordsMean')}</h2>
      <ul>
        {MEANINGS.map(({ phase, words }) => (
          <li key={words}>
            {phase && <PhaseSwatch phase={phase} />} {words}
          </li>
        ))}
      </ul>
      <h2>{say('nextSteps')}</h2>
      <ul>
        {nextSteps(kind, line).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ul>
      <TakeCare athlete={athlete} />
    </Sheet>
  );
}
