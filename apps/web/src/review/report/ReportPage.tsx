import type { AthleteCourseReply, SquadLineReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import { useAddress } from '../../parts/useAddress.js';
import { useCourse } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { ButtonLink } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { PrintPage } from '../../parts/PrintPage.js';
import { Page, Quiet } from '../../parts/Text.js';
import { kindsOf } from '../course-view.js';
import { longDay } from '../../words/format.js';
import { say } from '../../words/review.js';
import { ParentSheet } from './ParentSheet.js';
import { FiguresSheet, MethodSheet } from './SpecialistSheets.js';

/** Whom a report is for. */
const READERS = ['family', 'specialist'] as const;
const READER_WORDS = { family: say('forTheFamily'), specialist: say('forASpecialist') } as const;

/** A report on an athlete over a span, for readers away from the floor: a plain page, or one with all figures. */
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
  const kinds = kindsOf(inSpan);
  const kind = kinds.find(({ key }) => key === params.get('kind')) ?? kinds[0];
  const reader = READERS.find((each) => each === params.get('for')) ?? 'family';
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
              label={say('reader')}
              value={reader}
              options={READERS.map((each) => [each, READER_WORDS[each]] as const)}
              onChange={(each) => change({ for: each })}
            />
            {kind && kinds.length > 1 && (
              <SelectField
                label={say('series')}
                value={kind.key}
                options={kinds.map(({ key, words }) => [key, words] as const)}
                onChange={(key) => change({ kind: key })}
              />
            )}
            <SelectField
              label={say('from')}
              value={from}
              options={options}
              onChange={choose('from')}
            />
            <SelectField label={say('to')} value={to} options={options} onChange={choose('to')} />
            <ButtonLink to="/words">{say('whatFiguresMean')}</ButtonLink>
          </>
        )
      }
    >
      {kind && reader === 'family' ? (
        <ParentSheet {...{ kind, line, from, to }} course={inSpan} />
      ) : kind ? (
        <>
          <FiguresSheet {...{ kind, from, to }} course={inSpan} />
          <MethodSheet {...{ kind, line }} course={inSpan} />
        </>
      ) : (
        <>
          <Quiet>
            {days.length > 0
              ? say('athleteWasNotTimedTheseDays', { athlete: course.athlete.name })
              : say('athleteHasNoReportYet', { athlete: course.athlete.name })}
          </Quiet>
          {days.length === 0 && (
            <p className="no-print">
              <ButtonLink to={`/floor/${course.athlete.id}`} $weight="main">
                {say('startDrill')}
              </ButtonLink>
            </p>
          )}
        </>
      )}
    </PrintPage>
  );
}
