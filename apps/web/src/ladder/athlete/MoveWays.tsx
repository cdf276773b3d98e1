import type { AthleteLadderReply, RungMoveBody } from '@orthokin/contract';
import { ladderPlace, stepOf } from '@orthokin/core/progress';
import { ArrowDown, ArrowUp, Play, Undo2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Dialog, Heading as DialogHeading } from 'react-aria-components';
import styled from 'styled-components';
import { lacksWord } from '../../api/client.js';
import { useMove } from '../../api/ladder.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TextField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { OnWord } from '../../parts/OnWord.js';
import { Sheet } from '../../parts/Sheet.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/ladder.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 18px 0 8px;
`;

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

/** Follows or overrules the decision, moves by hand, or undoes the newest move. */
export function MoveWays({ ladder }: { ladder: AthleteLadderReply }): ReactElement {
  const { athlete, pattern, rung, decision, evidence, moves } = ladder;
  const move = useMove();
  const [isOpen, setOpen] = useState(false);
  const newest = evidence.at(-1)?.setId ?? null;
  const last = ladderPlace(moves).by;
  const where = { athleteId: athlete.id, patternId: pattern.id };
  const step = stepOf(decision.answer);
  const send = (change: Pick<RungMoveBody, 'toRung' | 'basis' | 'setId' | 'reason'>) =>
    move.mutate({ ...where, fromRung: rung, ...change }, { onSuccess: () => setOpen(false) });
  return (
    <>
      <Ways className="no-print">
        {step !== 0 && newest && (
          <Button
            weight="main"
            isDisabled={move.isPending}
            onPress={() => send({ toRung: rung + step, basis: 'rule', setId: newest })}
          >
            {step > 0 ? <ArrowUp size={19} aria-hidden /> : <ArrowDown size={19} aria-hidden />}
            {say('whichRungRung', {
              which: step > 0 ? say('moveUp2') : say('easeBack2'),
              rung: rung + step,
            })}
          </Button>
        )}
        <ButtonLink
          to={`/floor/${athlete.id}?pattern=${pattern.id}`}
          $weight={step !== 0 ? 'plain' : 'main'}
        >
          <Play size={17} aria-hidden /> {say('nextSetRungRung', { rung })}
        </ButtonLink>
        <Button onPress={() => setOpen(true)}>{say('decideOtherwise')}</Button>
        {last && (
          <Button
            isDisabled={move.isPending}
            onPress={() => send({ toRung: last.fromRung, basis: 'undo', setId: last.setId })}
          >
            <Undo2 size={18} aria-hidden /> {say('undoLastMove')}
          </Button>
        )}
      </Ways>
      {lacksWord(move.error) && newest ? (
        <OnWord
          isPending={move.isPending}
          onSay={(reason) => send({ toRung: rung + step, basis: 'rule', setId: newest, reason })}
        />
      ) : (
        move.error && <Notice>{move.error.message}</Notice>
      )}
      <Sheet isOpen={isOpen} onOpenChange={setOpen} isDismissable>
        <Otherwise
          ladder={ladder}
          isPending={move.isPending}
          onMove={(toRung, reason) =>
            newest && step !== 0
              ? send({ toRung, reason, basis: 'overrule', setId: newest })
              : send({ toRung, reason, basis: 'hand', setId: null })
          }
          onClose={() => setOpen(false)}
        />
      </Sheet>
    </>
  );
}

/** Chooses another rung than the rule, or the same one, with a reason. */
function Otherwise({
  ladder: { athlete, pattern, rung, decision },
  isPending,
  onMove,
  onClose,
}: {
  ladder: AthleteLadderReply;
  isPending: boolean;
  onMove: (toRung: number, reason: string) => void;
  onClose: () => void;
}): ReactElement {
  const [toRung, setToRung] = useState(rung);
  const [reason, setReason] = useState('');
  const [isAsked, setAsked] = useState(false);
  const step = stepOf(decision.answer);
  // Following the rule is not an overrule, and staying when no move is due is no move.
  const rungs = pattern.rungs.filter(({ number }) =>
    step === 0 ? number !== rung : number !== rung + step,
  );
  const chosen = rungs.some(({ number }) => number === toRung) ? toRung : rungs[0]?.number;
  return (
    <Dialog>
      <DialogHeading slot="title">
        {say('whereShouldAthlete', { athlete: athlete.name })}
      </DialogHeading>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          setAsked(true);
          if (chosen !== undefined && reason !== '') onMove(chosen, reason);
        }}
      >
        <SelectField
          label={say('rung')}
          value={String(chosen)}
          options={rungs.map(
            ({ number, name }) =>
              [
                String(number),
                number === rung
                  ? say('keepRungNumberName', { number, name })
                  : say('rungNumberName', { number, name }),
              ] as const,
          )}
          onChange={(number) => setToRung(Number(number))}
        />
        <TextField
          label={say('reasonKeptMove')}
          value={reason}
          maxLength={300}
          rows={2}
          onChange={setReason}
          required
        />
        <Quiet style={{ fontSize: 15 }}>{say('whatWasShownSoFarThen')}</Quiet>
        <span style={{ display: 'flex', gap: 10 }}>
          <Button weight="main" type="submit" isDisabled={isPending || chosen === undefined}>
            {chosen === rung
              ? say('keepRungRung', { rung })
              : say('putRungChosen', { chosen: chosen ?? '' })}
          </Button>
          <Button onPress={onClose}>{say('leave')}</Button>
        </span>
        {/* Its room is kept: when it goes, no button may move away from under a finger. */}
        <p role="alert" style={{ margin: 0, minHeight: 52 }}>
          {isAsked && reason === '' ? say('reasonNothingGivenFewWordsNeeded') : ''}
        </p>
      </Form>
    </Dialog>
  );
}
