import { mondayOf, sixWeeks } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { useProgrammes, useSaveProgramme } from '../../api/programmes.js';
import { localDay } from '../../device/local-day.js';
import { Button } from '../../parts/Button.js';
import { Lines } from '../../parts/Lines.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { dateWords } from '../../words/format.js';
import { say } from '../../words/weeks.js';

/** Programmes of several weeks, and a button for a new one. */
export function WeeksList(): ReactElement {
  const { data = [] } = useProgrammes();
  const save = useSaveProgramme();
  const navigate = useNavigate();
  const begin = () => {
    const programmeId = v7();
    const startsOn = mondayOf(localDay(new Date()));
    const body = {
      name: say('newWeeks'),
      startsOn,
      athleteIds: [],
      weeks: sixWeeks(),
      revision: 1,
    };
    save.mutate(
      { programmeId, body },
      { onSuccess: () => void navigate(`/plan/weeks/${programmeId}`) },
    );
  };
  return (
    <section style={{ marginTop: 30 }}>
      <Heading>{say('weeks')}</Heading>
      <Lines>
        {data.map(({ id, name, startsOn, weeks, athleteIds }) => (
          <li key={id}>
            <Link to={`/plan/weeks/${id}`}>{name}</Link>
            <Quiet as="span">
              {say('weeksLine', {
                ...{ from: dateWords(startsOn), count: weeks.length, people: athleteIds.length },
              })}
            </Quiet>
          </li>
        ))}
        <li>
          <Button isDisabled={save.isPending} onPress={begin}>
            {say('beginWeeks')}
          </Button>
          <Quiet as="span">{say('newWeeksMean')}</Quiet>
        </li>
      </Lines>
      {save.error && <Notice>{save.error.message}</Notice>}
    </section>
  );
}
