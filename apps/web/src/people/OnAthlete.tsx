import type { AthleteCareReply, PersonReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { useAthleteCare } from '../api/care.js';
import { usePeople } from '../api/people.js';
import { Failed } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { say } from '../words/people.js';

/** Loads the athlete in the address with their care records, and renders what needs both. */
export function OnAthlete({
  children,
}: {
  children: (person: PersonReply, care: AthleteCareReply) => ReactElement;
}): ReactElement {
  const { athleteId = '' } = useParams();
  const people = usePeople();
  const care = useAthleteCare(athleteId);
  const person = people.data?.find(({ id }) => id === athleteId);
  if (person && care.data) return children(person, care.data);
  if (people.data && !person)
    return (
      <Page name={say('people')}>
        <Headline>{say('notHere')}</Headline>
        <Link to="/people">{say('backToPeople')}</Link>
      </Page>
    );
  const failed = people.error ?? care.error;
  return (
    <Page name={say('people')}>
      {failed ? (
        <Failed
          error={failed}
          again={() => {
            void people.refetch();
            void care.refetch();
          }}
        />
      ) : (
        <Quiet>{say('readingPeople')}</Quiet>
      )}
    </Page>
  );
}
