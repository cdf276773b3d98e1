import { stepOf } from '@orthokin/core/progress';
import { ArrowDown, ArrowUp, Clapperboard, Download, Play, Undo2 } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { useMove } from '../../api/ladder.js';
import { Button, ButtonAnchor, ButtonLink } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import type { Review } from './useReview.js';
import { say } from '../../words/review.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 20px 0 8px;
`;

/** What to do with the decision. */
export function NextSteps({ setId, review }: { setId: string; review: Review }): ReactElement {
  const { clubId } = useClub();
  const move = useMove();
  const { set, athlete, decision, currentRung, moved } = review;
  const rung = currentRung ?? set.rung;
  const by = decision ? stepOf(decision.answer) : 0;
  const canMove = by !== 0 && currentRung === set.rung;
  const step = (fromRung: number, toRung: number, basis: 'rule' | 'undo') =>
    move.mutate({
      ...{ athleteId: set.athleteId, patternId: set.patternId, setId },
      ...{ fromRung, toRung, basis },
    });
  return (
    <div className="no-print">
      <Ways>
        {canMove && (
          <Button
            weight="main"
            isDisabled={move.isPending}
            onPress={() => step(set.rung, set.rung + by, 'rule')}
          >
            {by > 0 ? <ArrowUp size={19} aria-hidden /> : <ArrowDown size={19} aria-hidden />}
            {say('whichRungRung', {
              which: by > 0 ? say('moveUp') : say('easeBack'),
              rung: set.rung + by,
            })}
          </Button>
        )}
        <ButtonLink
          to={`/floor/${athlete.id}?pattern=${set.patternId}`}
          $weight={canMove || set.source === 'none' ? 'plain' : 'main'}
        >
          <Play size={17} aria-hidden /> {say('nextSetRungRung', { rung })}
        </ButtonLink>
        <ButtonLink to={`/film/${setId}`} $weight={set.source === 'none' ? 'main' : 'plain'}>
          <Clapperboard size={18} aria-hidden /> {say('markOnFilm')}
        </ButtonLink>
        <ButtonLink to={`/ladder/${set.patternId}/${athlete.id}`}>{say('ladder')}</ButtonLink>
        {moved && (
          <Button
            isDisabled={move.isPending}
            onPress={() => step(moved.toRung, moved.fromRung, 'undo')}
          >
            <Undo2 size={18} aria-hidden />{' '}
            {say('undoBackRungFromrung', { fromRung: moved.fromRung })}
          </Button>
        )}
        {decision && (
          <ButtonAnchor href={`/api/clubs/${clubId}/sets/${setId}/reps.csv`} download>
            <Download size={18} aria-hidden /> {say('repsCsv')}
          </ButtonAnchor>
        )}
      </Ways>
      {move.error && <Notice>{move.error.message}</Notice>}
      {decision && (
        <Quiet style={{ fontSize: 16 }}>
          <a href="/api/reps-dictionary.csv" download>
            {say('whatColumnsCsvMean')}
          </a>
        </Quiet>
      )}
    </div>
  );
}
