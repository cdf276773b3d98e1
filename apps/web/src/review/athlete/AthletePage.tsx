import type { AthleteCourseReply } from '@orthokin/contract';
import {
  isItBetter,
  speedAgainstTechnique,
  whereItWent,
  type Better,
  type CourseDuration,
} from '@orthokin/core/stats';
import { GitCompareArrows, Printer } from 'lucide-react';
import { useMemo, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useCourse } from '../../api/review.js';
import { ButtonLink } from '../../parts/Button.js';
import { dayWords } from '../../words/format.js';
import { Failed } from '../../parts/Notice.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import {
  betterSentence,
  doubtSentence,
  settleSentence,
  tradeSentence,
  whyNotSentence,
} from '../../words/change.js';
import { CloserLook } from './CloserLook.js';
import { CourseChart } from './CourseChart.js';
import { CourseControls } from './CourseControls.js';
import { kindsOf, spansOf, useCourseView, type Kind } from '../course-view.js';
import { ForecastPart } from './ForecastPart.js';
import { SetsTable } from './SetsTable.js';
import { TechniqueChart } from './TechniqueChart.js';
import { seasonSentence } from '../../words/season.js';
import { Weeks } from './Weeks.js';
import { say } from '../../words/review.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 18px 0 6px;
`;

const Part = styled.section`
  margin-top: 30px;
  max-width: 1080px;
  p {
    max-width: 78ch;
    margin: 0 0 8px;
  }
`;

/** An athlete over weeks: whether they got better, the forecast, and what it rests on. */
export function AthletePage(): ReactElement {
  const { athleteId = '' } = useParams();
  const course = useCourse(athleteId);
  if (course.data) return <Course course={course.data} />;
  return (
    <Page name={say('review')}>
      {course.error ? (
        <Failed error={course.error} again={() => void course.refetch()} />
      ) : (
        <Quiet>{say('readingWeeks')}</Quiet>
      )}
    </Page>
  );
}

function Course({ course }: { course: AthleteCourseReply }): ReactElement {
  const kinds = useMemo(() => kindsOf(course), [course]);
  const [view, change] = useCourseView();
  const kind = kinds.find(({ key }) => key === view.kind) ?? kinds[0];
  if (!kind)
    return (
      <Page name={say('athleteReview', { athlete: course.athlete.name })}>
        <Headline>{say('athleteHasNotBeenTimedYet', { athlete: course.athlete.name })}</Headline>
        <Ways>
          <ButtonLink to={`/floor/${course.athlete.id}`} $weight="main">
            {say('startDrill')}
          </ButtonLink>
        </Ways>
      </Page>
    );
  return <CourseOfKind course={course} kinds={kinds} kind={kind} view={view} change={change} />;
}

/** What was compared, in words. */
const basisWords = (basis: string, { before, after }: Pick<Better, 'before' | 'after'>): string => {
  const days = (sets: Better['before']) => {
    const [first, last] = [sets[0], sets.at(-1)];
    if (!first || !last) return say('noDay');
    const [from = '', to = ''] = [first, last].map(({ atMs }) =>
      dayWords(new Date(atMs).toISOString()),
    );
    return from === to ? from : say('fromTo', { from, to });
  };
  return say('comparedByBasis', {
    ...{ basis, before: days(before), after: days(after) },
    rung: before[0]?.rung ?? '?',
  });
};

function CourseOfKind({
  course,
  kinds,
  kind,
  view,
  change,
}: {
  course: AthleteCourseReply;
  kinds: readonly Kind[];
  kind: Kind;
  view: ReturnType<typeof useCourseView>[0];
  change: ReturnType<typeof useCourseView>[1];
}): ReactElement {
  const { athlete } = course;
  const { sets } = kind;
  const duration: CourseDuration = view.duration;
  const spans = spansOf(sets, view);
  const better = isItBetter(spans.before, spans.after, sets, duration, course.squad);
  const compared = typeof better === 'string' ? null : better;
  const phases = whereItWent(spans, sets, course.squad);
  const answer = (found: Better): string =>
    duration === 'cycle' ? seasonSentence(found, phases) : betterSentence(found, duration);
  const settle = compared && settleSentence(compared.change);
  const ids = (some: readonly { setId: string }[]) => some.map(({ setId }) => setId).join(',');
  return (
    <Page name={say('athleteReview', { athlete: athlete.name })}>
      <Quiet>
        {say('athleteHandHandedAgeband', {
          athlete: athlete.name,
          hand: athlete.hand,
          ageBand: athlete.ageBand,
        })}{' '}
        {athlete.note}
      </Quiet>
      <Headline>{typeof better === 'string' ? whyNotSentence(better) : answer(better)}</Headline>
      {compared && (
        <>
          {settle && <p style={{ maxWidth: '78ch', margin: '10px 0 0' }}>{settle}</p>}
          <Quiet style={{ marginTop: 6 }}>{basisWords(spans.basis, compared)}</Quiet>
        </>
      )}
      <CourseControls kinds={kinds} kind={kind} view={view} onChange={change} />
      <Weeks course={course} kind={kind} phases={phases} />
      {compared && (
        <Part>
          <Heading>{say('howSure')}</Heading>
          <p>
            {doubtSentence(compared)} <HowKnown what="change" />
          </p>
        </Part>
      )}
      <Ways className="no-print">
        {compared && (
          <ButtonLink
            to={`/review/compare?a=${ids(compared.before)}&b=${ids(compared.after)}&duration=${duration}`}
          >
            <GitCompareArrows size={18} aria-hidden /> {say('beforeAfterSideSide')}
          </ButtonLink>
        )}
        <ButtonLink to={`/review/athletes/${athlete.id}/report`}>
          <Printer size={18} aria-hidden /> {say('reportPrint')}
        </ButtonLink>
      </Ways>
      <Part aria-label={say('course')}>
        <Heading>{say('oneDuration')}</Heading>
        <CourseChart course={course} kind={kind} duration={duration} />
      </Part>
      <Part>
        <Heading>{say('speedAgainstTechnique')}</Heading>
        <p>{tradeSentence(speedAgainstTechnique(sets))}</p>
        <TechniqueChart kind={kind} />
      </Part>
      <ForecastPart course={course} kind={kind} duration={duration} />
      <Part id="closer">
        <CloserLook course={course} kind={kind} />
      </Part>
      <Part>
        <SetsTable course={course} kind={kind} />
        <Quiet style={{ marginTop: 10, fontSize: 16 }}>
          {say('setsAll', { sets: course.sets.length })}{' '}
          <Link to="/review/data">{say('takeThemOutFiles')}</Link>
        </Quiet>
      </Part>
    </Page>
  );
}
