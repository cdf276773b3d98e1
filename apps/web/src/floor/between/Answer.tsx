import { stepOf } from '@orthokin/core/progress';
import { ArrowDown, ArrowUp, Play } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { lacksWord } from '../../api/client.js';
import { useMove } from '../../api/ladder.js';
import { useSetReview } from '../../api/review.js';
import type { Run } from '../../drill/plan.js';
import { useSending } from '../../device/outbox-context.js';
import { Button } from '../../parts/Button.js';
import { headline } from '../../words/decision.js';
import { Notice } from '../../parts/Notice.js';
import { OnWord } from '../../parts/OnWord.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';
import { Ways } from './Ways.js';

const Says = styled.p`
  margin: 0;
  max-width: 34ch;
  font-size: 24px;
  font-weight: 650;
  line-height: 1.25;
`;

/** What the ladder makes of a set that is done: said at once, and the next set at the right rung. */
export function Answer({
  run: { plan, recorded },
  onNext,
}: {
  run: Run;
  /** On to the next set; the move, if there is one, is made. `null` where another set follows by itself. */
  onNext: (() => void) | null;
}): ReactElement | null {
  const { subjects } = useSending();
  const isSent = recorded.length > 0 && !subjects.has(`drill:${plan.id}`);
  const { data: review } = useSetReview(plan.id, isSent);
  const move = useMove();
  if (plan.source === 'none' || recorded.length === 0) return null;
  if (!review) return <Quiet>{say('whatComesNextSaidSoonSet')}</Quiet>;
  const { decision, set, currentRung } = review;
  const step = stepOf(decision.answer);
  const canStep = step !== 0 && currentRung === set.rung;
  const follow = (reason?: string) => {
    const where = { athleteId: set.athleteId, patternId: set.patternId, setId: set.id };
    const way = { fromRung: set.rung, toRung: set.rung + step, basis: 'rule' as const };
    const word = reason === undefined ? {} : { reason };
    move.mutate({ ...where, ...way, ...word }, { onSuccess: () => onNext?.() });
  };
  return (
    <>
      <Says role="status">{headline(decision, set.rung)}</Says>
      {onNext && (
        <Ways>
          {canStep && (
            <Button weight="main" isDisabled={move.isPending} onPress={() => follow()}>
              {step > 0 ? <ArrowUp size={20} aria-hidden /> : <ArrowDown size={20} aria-hidden />}
              {say('whichNextSetRungRung', {
                which: step > 0 ? say('moveUp') : say('easeBack'),
                rung: set.rung + step,
              })}
            </Button>
          )}
          <Button onPress={onNext}>
            <Play size={18} aria-hidden /> {say('nextSetRungCurrentrung', { currentRung })}
          </Button>
        </Ways>
      )}
      {lacksWord(move.error) ? (
        <OnWord isPending={move.isPending} onSay={follow} />
      ) : (
        move.error && <Notice>{move.error.message}</Notice>
      )}
    </>
  );
}
