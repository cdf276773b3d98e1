import { stepOf } from '@orthokin/core/progress';
import { ArrowDown, ArrowUp, Play } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { lacksWord } from '../../api/client.js';
import { useDecidedHere } from '../../api/decided-here.js';
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

/** The ladder's decision after a finished set, with the move and the next set one press away. */
export function Answer({
  run,
  onNext,
}: {
  run: Run;
  /** Makes the move, if there is one, and goes on; `null` if another set follows by itself. */
  onNext: (() => void) | null;
}): ReactElement | null {
  const { plan, recorded } = run;
  const { subjects, reachable } = useSending();
  const isSent = recorded.length > 0 && !subjects.has(`drill:${plan.id}`);
  const { data: review } = useSetReview(plan.id, isSent);
  const here = useDecidedHere(run, !review && !reachable && recorded.length > 0);
  const [lacksWordHere, setLacksWordHere] = useState(false);
  const move = useMove();
  if (plan.source === 'none' || recorded.length === 0) return null;
  const decision = review?.decision ?? here?.decision;
  if (!decision) return <Quiet>{say('whatComesNextSaidSoonSet')}</Quiet>;
  const { rung } = plan;
  const currentRung = review?.currentRung ?? (move.isSuccess ? move.data.toRung : rung);
  const step = stepOf(decision.answer);
  const canStep = step !== 0 && currentRung === rung;
  const follow = (reason?: string) => {
    if (!review && here?.onWord && step > 0 && reason === undefined) {
      setLacksWordHere(true);
      return;
    }
    const where = { athleteId: plan.athlete.id, patternId: plan.pattern.id, setId: plan.id };
    const way = { fromRung: rung, toRung: rung + step, basis: 'rule' as const };
    const word = reason === undefined ? {} : { reason };
    move.mutate({ ...where, ...way, ...word }, { onSuccess: () => onNext?.() });
  };
  return (
    <>
      <Says role="status">{headline(decision, rung)}</Says>
      {!review && <Quiet>{say('decidedHere')}</Quiet>}
      {onNext && (
        <Ways>
          {canStep && (
            <Button weight="main" isDisabled={move.isPending} onPress={() => follow()}>
              {step > 0 ? <ArrowUp size={20} aria-hidden /> : <ArrowDown size={20} aria-hidden />}
              {say('whichNextSetRungRung', {
                which: step > 0 ? say('moveUp') : say('easeBack'),
                rung: rung + step,
              })}
            </Button>
          )}
          <Button onPress={onNext}>
            <Play size={18} aria-hidden /> {say('nextSetRungCurrentrung', { currentRung })}
          </Button>
        </Ways>
      )}
      {lacksWord(move.error) || lacksWordHere ? (
        <OnWord isPending={move.isPending} onSay={follow} />
      ) : (
        move.error && <Notice>{move.error.message}</Notice>
      )}
    </>
  );
}
