import type { AthleteCourseReply, SquadLineReply } from '@orthokin/contract';
import { isItBetter, seasonOf, usualSpans, type CourseDuration } from '@orthokin/core/stats';
import { useMemo, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { useClub } from '../../api/club.js';
import { usePeople } from '../../api/people.js';
import { useRemembered } from '../../device/useRemembered.js';
import { TextField } from '../../parts/form/TextField.js';
import { Quiet } from '../../parts/Text.js';
import { longDay } from '../../words/format.js';
import { atHome, plainChange, standsAt } from '../../words/report.js';
import { say } from '../../words/review.js';
import { Season } from '../athlete/Season.js';
import type { Kind } from '../course-view.js';
import { Sheet } from './Sheet.js';
import { TakeCare } from './TakeCare.js';

const DURATIONS = ['cycle', 'reaction', 'recovery'] as const satisfies readonly CourseDuration[];
const LONGEST_WORDS = 1200;

/** How it went in plain sentences, the season in a picture, what to do at home, the coach's words. */
export function ParentSheet({
  course,
  kind,
  line,
  from,
  to,
}: {
  course: AthleteCourseReply;
  kind: Kind;
  line: SquadLineReply | undefined;
  from: string;
  to: string;
}): ReactElement {
  const { name, faults } = useClub();
  const { athlete } = course;
  const people = usePeople();
  const person = people.data?.find(({ id }) => id === athlete.id);
  const navigate = useNavigate();
  const [words, keepWords] = useRemembered(`report-words.${athlete.id}`, '');
  const { before, after } = usualSpans(kind.sets);
  const days = useMemo(() => seasonOf(kind.sets), [kind.sets]);
  return (
    <Sheet>
      <Quiet>
        {say('nameMovementReportLongdayLongday2', {
          ...{ name, longDay: longDay(from), longDay2: longDay(to) },
        })}
      </Quiet>
      <h1>{athlete.name}</h1>
      {DURATIONS.map((duration) => (
        <p key={duration} style={{ fontSize: duration === 'cycle' ? 18 : 16 }}>
          {plainChange(isItBetter(before, after, kind.sets, duration, course.squad), duration)}
        </p>
      ))}
      {line && <p>{standsAt(athlete.name, line)}</p>}
      <h2>{say('theWeeks')}</h2>
      <Season
        {...{ course, days }}
        open=""
        onOpen={(day) => void navigate(`/review/athletes/${athlete.id}?day=${day}`)}
        pattern={kind.pattern}
        caption={say('howToReadWeeks')}
      />
      <h2>{say('whatToDoAtHome')}</h2>
      <ul>
        {atHome(person?.watched ?? [], faults).map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      {words !== '' && (
        <>
          <h2>{say('fromTheCoach')}</h2>
          <p style={{ whiteSpace: 'pre-line' }}>{words}</p>
        </>
      )}
      <div className="no-print">
        <TextField
          label={say('yourOwnWords')}
          value={words}
          onChange={keepWords}
          maxLength={LONGEST_WORDS}
          rows={4}
        />
        <Quiet style={{ fontSize: 14 }}>{say('keptOnThisDevice')}</Quiet>
      </div>
      <TakeCare athlete={athlete} />
    </Sheet>
  );
}
