import type { AthleteCourseReply, SquadLineReply } from '@orthokin/contract';
import { isItBetter, leanOf, usualSpans, type CourseDuration } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useAddress } from '../../parts/useAddress.js';
import { useClub } from '../../api/club.js';
import { useCourse } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { Failed } from '../../parts/Notice.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { PhaseSwatch } from '../../parts/phases.js';
import { PrintPage } from '../../parts/PrintPage.js';
import { Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { CourseChart } from '../athlete/CourseChart.js';
import { kindsOf, type Kind } from '../course-view.js';
import {
  betterSentence,
  doubtSentence,
  settleSentence,
  whyNotSentence,
} from '../../words/change.js';
import {
  cautions,
  leanSentence,
  MEANINGS,
  nextSteps,
  techniqueSentence,
  trainedRows,
} from '../../words/report.js';
import { longDay } from '../../words/format.js';
import { say } from '../../words/review.js';

const Sheet = styled.section`
  min-height: 262mm;
  font-size: 15px;
  line-height: 1.4;
  & + & {
    margin-top: 12mm;
    padding-top: 8mm;
    border-top: 1px dashed ${colour('rule')};
  }
  h2 {
    margin: 6mm 0 2mm;
    font-size: 18px;
  }
  p {
    margin: 0 0 2mm;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    padding: 1.2mm 3mm 1.2mm 0;
    border-bottom: 1px solid ${colour('rule')};
    text-align: left;
    font-weight: 450;
  }
  thead th {
    color: ${colour('quiet')};
  }
  ul {
    margin: 0;
    padding-left: 5mm;
  }
  li {
    margin-bottom: 1.2mm;
  }
  .floor svg {
    max-height: 88mm;
  }
  .change {
    break-inside: avoid;
    margin-bottom: 3mm;
  }
  .change small {
    display: block;
    font-size: 13.5px;
    color: ${colour('quiet')};
  }
  @media print {
    min-height: 0;
    & + & {
      break-before: page;
      margin: 0;
      padding: 0;
      border: 0;
    }
    @page {
      size: A4;
      margin: 14mm;
    }
  }
  @media (max-width: 640px) {
    min-height: 0;
  }
`;

const DURATIONS: readonly CourseDuration[] = ['reaction', 'recovery', 'cycle'];

/** One athlete over a span, for whoever does not stand on the floor: two pages to print. */
export function ReportPage(): ReactElement {
  const { athleteId = '' } = useParams();
  const course = useCourse(athleteId);
  const squad = useSquad();
  if (!course.data)
    return (
      <Page name={say('report')}>
        {course.error ? (
          <Failed error={course.error} again={() => void course.refetch()} />
        ) : (
          <Quiet>{say('writingReport')}</Quiet>
        )}
      </Page>
    );
  const line = squad.data?.find(({ athlete }) => athlete.id === athleteId);
  return <Report course={course.data} line={line} />;
}

function Report({
  course,
  line,
}: {
  course: AthleteCourseReply;
  line: SquadLineReply | undefined;
}): ReactElement {
  const [params, change] = useAddress();
  const days = [...new Set(course.sets.map(({ day }) => day))];
  const from = params.get('from') ?? days[0] ?? '';
  const to = params.get('to') ?? days.at(-1) ?? '';
  const inSpan = {
    ...course,
    sets: course.sets.filter(({ day }) => day >= from && day <= to),
  };
  const [kind] = kindsOf(inSpan);
  const choose = (name: 'from' | 'to') => (day: string) => change({ [name]: day });
  const options = days.map((day) => [day, longDay(day)] as const);
  return (
    <PrintPage
      name={say('athleteReport', { athlete: course.athlete.name })}
      back={`/review/athletes/${course.athlete.id}`}
      backWords={say('backAthlete')}
      ways={
        days.length > 0 && (
          <>
            <SelectField
              label={say('from')}
              value={from}
              options={options}
              onChange={choose('from')}
            />
            <SelectField label={say('to')} value={to} options={options} onChange={choose('to')} />
          </>
        )
      }
    >
      {kind ? (
        <>
          <FirstSheet course={inSpan} kind={kind} from={from} to={to} />
          <SecondSheet course={inSpan} kind={kind} line={line} />
        </>
      ) : (
        <Quiet>{say('athleteWasNotTimedTheseDays', { athlete: course.athlete.name })}</Quiet>
      )}
    </PrintPage>
  );
}

function FirstSheet({
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
            <th scope="col">{say('repsCounted')}</th>
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
        {techniqueSentence(kind.sets)} {leanSentence(leanOf(kind.sets))}
      </p>
      <CourseChart course={course} kind={kind} duration="cycle" />
    </Sheet>
  );
}

function SecondSheet({
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
      <h2>{say('takeCare')}</h2>
      <ul>
        {cautions(athlete).map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </Sheet>
  );
}
