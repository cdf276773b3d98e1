import type { SetReviewReply } from '@orthokin/contract';
import { agreementOn, isUnderAge } from '@orthokin/core/people';
import { useMemo, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { useAthleteCare } from '../api/care.js';
import { NotThere } from '../api/client.js';
import { useSetReview } from '../api/review.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Page, Quiet } from '../parts/Text.js';
import { say } from '../words/film.js';
import { dayWords } from '../words/format.js';
import { FilmBench } from './FilmBench.js';
import { SimulateFilm } from './simulate/SimulateFilm.js';
import { subjectOfSet } from './subject.js';

/** The films of one set. */
export function FilmRoom(): ReactElement {
  const { setId = '' } = useParams();
  const review = useSetReview(setId, true);
  if (review.data) return <Room key={setId} review={review.data} />;
  return (
    <Page name={say('film')}>
      {review.error instanceof NotThere ? (
        <Notice action={<Button onPress={() => void review.refetch()}>{say('lookForSet')}</Button>}>
          {say('setNotHere')}
        </Notice>
      ) : review.error ? (
        <Failed error={review.error} again={() => void review.refetch()} />
      ) : (
        <Quiet>{say('readingSet')}</Quiet>
      )}
    </Page>
  );
}

/** Whether a guardian's agreement to filming is missing on the day of the set. */
function useLacksAgreement({ athlete, set }: SetReviewReply): boolean {
  const care = useAthleteCare(athlete.id);
  if (!care.data) return false;
  const { said, bornOn } = care.data;
  const agreements = said.flatMap(({ agreement }) => agreement ?? []);
  const underAge = isUnderAge(athlete.ageBand, bornOn, set.day);
  const { state } = agreementOn('filming', agreements, underAge, set.day);
  return state === 'missing' || state === 'ran out';
}

function Room({ review }: { review: SetReviewReply }): ReactElement {
  const { set, athlete, pattern } = review;
  const subject = useMemo(() => subjectOfSet(review), [review]);
  const lacksAgreement = useLacksAgreement(review);
  return (
    <Page name={say('filmOf', { athlete: athlete.name })}>
      <Quiet style={{ marginBottom: 10 }}>
        <Link to={`/people/${athlete.id}`}>{athlete.name}</Link>,{' '}
        <Link to={`/review/${set.id}`}>
          {say('setOn', { pattern: pattern.name, rung: set.rung, day: dayWords(set.startedAt) })}
        </Link>
      </Quiet>
      {lacksAgreement && (
        <Notice action={<ButtonLink to={`/people/${athlete.id}`}>{say('writeDown')}</ButtonLink>}>
          {say('noAgreement', { athlete: athlete.name })}
        </Notice>
      )}
      <FilmBench
        subject={subject}
        orElse={(take) => <SimulateFilm {...{ subject }} seed={set.seed} onFilm={take} />}
      />
    </Page>
  );
}
