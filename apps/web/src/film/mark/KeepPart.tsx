import type { Alignment, Marks } from '@orthokin/core/film';
import type { SetReviewReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useKeepMarks } from '../../api/review.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { TextField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import { correctionsFrom, type CalledRep } from './marks.js';
import { Row } from '../Row.js';
import type { useOwnSd } from './useOwnSd.js';

/** Stores the marks with the set, under the marker's name. */
export function KeepPart({
  review,
  reps,
  marks,
  framesMs,
  alignment,
  marker: { person: author, setPerson, ownSdMs },
}: {
  review: SetReviewReply;
  reps: readonly CalledRep[];
  marks: Marks;
  framesMs: readonly number[];
  alignment: Alignment;
  marker: ReturnType<typeof useOwnSd>;
}): ReactElement {
  const { set } = review;
  const keep = useKeepMarks(set.id);
  const bodies = correctionsFrom(reps, marks, framesMs, alignment, author, ownSdMs);
  return (
    <>
      {setPerson && (
        <div style={{ marginTop: 18, maxWidth: 280 }}>
          <TextField
            label={say('yourName')}
            value={author}
            onChange={setPerson}
            maxLength={60}
            required
          />
        </div>
      )}
      {author === '' && bodies.length > 0 && <Quiet>{say('whoMarked')}</Quiet>}
      <Row>
        <Button
          weight="main"
          isDisabled={author === '' || bodies.length === 0 || keep.isPending}
          onPress={() => keep.mutate(bodies)}
        >
          {say('keep', { count: bodies.length })}
        </Button>
        {keep.isSuccess && <ButtonLink to={`/review/${set.id}`}>{say('seeReview')}</ButtonLink>}
      </Row>
      {keep.isSuccess && bodies.length === 0 && <Quiet role="status">{say('keptAll')}</Quiet>}
      {keep.error && <Notice>{keep.error.message}</Notice>}
    </>
  );
}
