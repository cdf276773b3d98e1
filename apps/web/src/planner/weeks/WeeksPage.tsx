import type { PlanReply, ProgrammeReply } from '@orthokin/contract';
import { LONGEST_NAME } from '@orthokin/core/people';
import {
  daysLater,
  mondayOf,
  MOST_WEEKS,
  programmeFindings,
  usualWeek,
  weekOf,
} from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { usePlans } from '../../api/plans.js';
import { useProgrammes, useRemoveProgramme, useSaveProgramme } from '../../api/programmes.js';
import { localDay } from '../../device/local-day.js';
import { Button } from '../../parts/Button.js';
import { DateField } from '../../parts/form/DateField.js';
import { TextField } from '../../parts/form/TextField.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { dateWords } from '../../words/format.js';
import { programmeWords, say } from '../../words/weeks.js';
import { useNames } from '../useNames.js';
import { WhoComes } from '../WhoComes.js';
import { CalendarPart } from './CalendarPart.js';
import { CopyWeeks } from './CopyWeeks.js';
import { DoneTable } from './DoneTable.js';
import { FillWeeks } from './FillWeeks.js';
import { ShortFields } from '../ShortFields.js';
import { useWeeks } from './useWeeks.js';
import { WeekRow } from './WeekRow.js';

/** A programme: its weeks and sessions, and what was done of them. */
export function WeeksPage(): ReactElement {
  const { programmeId = '' } = useParams();
  const programmes = useProgrammes();
  const plans = usePlans();
  const programme = programmes.data?.find(({ id }) => id === programmeId);
  const error = programmes.error ?? plans.error;
  const remove = useRemoveProgramme();
  const save = useSaveProgramme();
  const [gone, setGone] = useState<ProgrammeReply | null>(null);
  if (gone)
    return (
      <Page name={gone.name}>
        <Headline>{say('takenAway')}</Headline>
        <p>
          <Button
            onPress={() => {
              const { id, ...body } = gone;
              save.mutate({ programmeId: id, body: { ...body, revision: 1 } });
              setGone(null);
            }}
          >
            {say('putBack')}
          </Button>{' '}
          <Link to="/plan">{say('allSessions')}</Link>
        </p>
      </Page>
    );
  if (!programme || !plans.data)
    return (
      <Page name={say('weeks')}>
        {error ? (
          <Failed
            error={error}
            again={() => void Promise.all([programmes.refetch(), plans.refetch()])}
          />
        ) : (
          <Quiet>{programmes.data && !programme ? say('noSuchWeeks') : say('reading')}</Quiet>
        )}
      </Page>
    );
  return (
    <Weeks
      programme={programme}
      sessions={plans.data
        .filter((plan) => plan.programmeId === programmeId)
        .sort((one, other) => one.startsAt.localeCompare(other.startsAt))}
      onTakeAway={() => remove.mutate(programmeId, { onSuccess: () => setGone(programme) })}
      onReadAnew={() => Promise.all([programmes.refetch(), plans.refetch()])}
    />
  );
}

function Weeks({
  programme,
  sessions,
  onTakeAway,
  onReadAnew,
}: {
  programme: ProgrammeReply;
  sessions: readonly PlanReply[];
  onTakeAway: () => void;
  onReadAnew: () => Promise<unknown>;
}) {
  const { name, startsOn, athleteIds, weeks } = programme;
  const doing = useWeeks(programme, sessions);
  const navigate = useNavigate();
  const nameOf = useNames();
  // Fixed at first render: the form stays in place while it fills the weeks.
  const [isNew] = useState(sessions.length === 0);
  const [today] = useState(() => localDay(new Date()));
  const findings = sessions.length > 0 ? programmeFindings(programme, sessions) : [];
  const people = [...athleteIds].sort().join(' ');
  const others = sessions.filter(
    (session) => session.day >= today && [...session.athleteIds].sort().join(' ') !== people,
  );
  const movedNow = sessions.find(({ id }) => id === doing.moved?.id);
  const filling = (
    <>
      <WhoComes athleteIds={athleteIds} onChange={(ids) => doing.change({ athleteIds: ids })} />
      {others.length > 0 && (
        <p style={{ margin: '4px 0 0' }}>
          <Button isDisabled={doing.isBusy} onPress={() => said(doing.takeInto(others))}>
            {say('takeInto', { count: others.length })}
          </Button>
        </p>
      )}
      <FillWeeks
        isBusy={doing.isBusy}
        said={doing.filled === null ? '' : say('filled', { count: doing.filled })}
        onFill={(filling) => said(doing.fill(filling))}
      />
    </>
  );
  return (
    <Page name={name}>
      <Quiet>
        <Link to="/plan">{say('allSessions')}</Link>
      </Quiet>
      <Headline style={{ marginTop: 4 }}>
        {say('headline', { name, weeks: weeks.length, sessions: sessions.length })}
      </Headline>
      {doing.error && (
        <Notice
          action={
            <Button onPress={() => void onReadAnew().then(doing.forget)}>{say('readAnew')}</Button>
          }
        >
          {say('notSaved', { why: doing.error.message })}
        </Notice>
      )}
      {findings.length > 0 && (
        <ul style={{ margin: '8px 0 0', paddingLeft: 18 }}>
          {findings.map((finding) => (
            <li key={programmeWords(finding)}>{programmeWords(finding)}</li>
          ))}
        </ul>
      )}
      {isNew && filling}
      <p role="status" style={{ margin: '8px 0 0' }}>
        {movedNow && (
          <>
            {say('moved', { name: movedNow.name, day: dateWords(movedNow.day) })}{' '}
            <Button onPress={() => said(doing.moveBack())}>{say('moveBack')}</Button>
          </>
        )}
      </p>
      {weeks.map((week, place) => (
        <WeekRow
          // Weeks have no ids; their index identifies them.
          key={place}
          {...{ place, week }}
          isNow={weekOf(programme, today) === place}
          monday={daysLater(startsOn, 7 * place)}
          sessions={sessions.filter(({ day }) => weekOf(programme, day) === place)}
          onChange={(changed) =>
            doing.change({ weeks: weeks.map((one, i) => (i === place ? changed : one)) })
          }
          onMove={(planId, day) => said(doing.move(planId, day))}
        />
      ))}
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        {weeks.length < MOST_WEEKS && (
          <Button onPress={() => doing.change({ weeks: [...weeks, usualWeek('other')] })}>
            {say('addWeek')}
          </Button>
        )}
        {weeks.length > 1 && (
          <Button onPress={() => doing.change({ weeks: weeks.slice(0, -1) })}>
            {say('takeLast')}
          </Button>
        )}
      </p>
      <ShortFields>
        <TextField
          label={say('name')}
          value={name}
          maxLength={LONGEST_NAME}
          required
          onChange={(to) => doing.change({ name: to })}
        />
        <DateField
          label={say('startsOn')}
          value={startsOn}
          onChange={(to) => to !== null && said(doing.beginOn(mondayOf(to)))}
        />
      </ShortFields>
      {!isNew && filling}
      <DoneTable {...{ programme, sessions, nameOf }} />
      <CalendarPart
        {...{ name, sessions }}
        onTakeOver={({ planId, ...when }) => {
          const session = sessions.find(({ id }) => id === planId);
          if (session) said(doing.changeSession(session, when));
        }}
      />
      <CopyWeeks
        {...{ name, startsOn }}
        isBusy={doing.isBusy}
        onCopy={(to, ids, from) =>
          said(doing.copy(to, ids, from).then((id) => navigate(`/plan/weeks/${id}`)))
        }
      />
      <p style={{ marginTop: 26 }}>
        <Button onPress={onTakeAway}>{say('takeAway')}</Button>
      </p>
    </Page>
  );
}

/** A failure shows in the notice above the weeks. */
const said = (doing: Promise<unknown>): void => void doing.catch(() => undefined);
