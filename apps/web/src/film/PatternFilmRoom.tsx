import type { PatternReply } from '@orthokin/contract';
import { useMemo, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { usePattern } from '../api/patterns.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Page, Quiet } from '../parts/Text.js';
import { say } from '../words/film.js';
import { FilmBench } from './FilmBench.js';
import { subjectOfPattern } from './subject.js';

/** Film of a pattern, without a set: somebody demonstrates it, here or elsewhere. */
export function PatternFilmRoom(): ReactElement {
  const { patternId = '' } = useParams();
  const { data, error, refetch } = usePattern(patternId);
  if (data) return <Room key={patternId} pattern={data} />;
  return (
    <Page name={say('film')}>
      {error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : data === null ? (
        <Notice>{say('patternNotHere')}</Notice>
      ) : (
        <Quiet>{say('readingPattern')}</Quiet>
      )}
    </Page>
  );
}

function Room({ pattern }: { pattern: PatternReply }): ReactElement {
  const subject = useMemo(() => subjectOfPattern(pattern), [pattern]);
  return (
    <Page name={say('filmOf', { athlete: pattern.name })}>
      <Quiet style={{ marginBottom: 10 }}>
        <Link to={`/patterns/${pattern.id}`}>{pattern.name}</Link>
      </Quiet>
      <FilmBench subject={subject} orElse={() => <Quiet>{say('agreeFirst')}</Quiet>} />
    </Page>
  );
}
