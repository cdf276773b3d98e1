import type { RepReply } from '@orthokin/contract';
import { problemSentence } from '@orthokin/core/result';
import { eventOf, type EventName } from '@orthokin/core/timing';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useCorrectRep } from '../../api/review.js';
import { useOwnName } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { CountField, NumberField } from '../../parts/form/NumberFields.js';
import { TextField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { correctionOf, effectiveRep } from '../../drill/corrections.js';
import { moved } from './corrections.js';
import { say } from '../../words/review.js';

const Panel = styled.section`
  margin-top: 22px;
  padding-top: 14px;
  border-top: 1px solid ${colour('rule')};
  .fields {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 14px;
    align-items: end;
    margin: 6px 0 12px;
  }
  .fields > * {
    flex: 0 1 150px;
  }
`;

const MOVABLE: readonly (readonly [EventName, string])[] = [
  ['splitLanding', say('splitLanding')],
  ['firstMove', say('firstMove')],
  ['arrival', 'arrived'],
  ['action', 'action'],
  ['departure', 'departure'],
  ['home', 'home'],
];
/** The farthest an event may be from its cue, s. */
const FARTHEST_S = 60;

/** Corrects a rep's event, or strikes the rep out; the previous version is kept. */
export function CorrectRep({
  setId,
  reps,
  ordinals,
}: {
  setId: string;
  reps: readonly RepReply[];
  ordinals: readonly number[];
}): ReactElement | null {
  const correct = useCorrectRep(setId);
  const [by, setBy] = useOwnName();
  const [ordinal, setOrdinal] = useState(ordinals[0] ?? 1);
  const [problem, setProblem] = useState<string | null>(null);
  const rep = effectiveRep(reps, ordinal);
  if (!rep) return null;
  const cueMs = eventOf(rep.events, 'cue')?.atMs ?? 0;
  const author = by.trim();
  const move = (name: EventName, seconds: number) => {
    const result = moved(rep, name, 1000 * seconds);
    setProblem(result.ok ? null : problemSentence(result.problem));
    if (result.ok) correct.mutate(correctionOf(rep, { events: result.value }, author));
  };
  return (
    <Panel aria-label={say('correctRep')} className="no-print">
      <Heading>{say('correctRep')}</Heading>
      <div className="fields">
        {setBy && (
          <TextField label={say('yourName')} value={by} onChange={setBy} maxLength={60} required />
        )}
        <CountField
          label={say('rep')}
          value={ordinal}
          min={Math.min(...ordinals)}
          max={Math.max(...ordinals)}
          onChange={(value) => {
            setOrdinal(value);
            setProblem(null);
          }}
        />
        {author !== '' && (
          <Button
            isDisabled={correct.isPending}
            onPress={() => correct.mutate(correctionOf(rep, { struckOut: !rep.struckOut }, author))}
          >
            {rep.struckOut
              ? say('restoreRepOrdinal', { ordinal })
              : say('strikeOutRepOrdinal', { ordinal })}
          </Button>
        )}
      </div>
      {author === '' ? (
        <Quiet>{say('correctionKeptWhoMadeWriteYour')}</Quiet>
      ) : (
        <>
          <Quiet>{say('secondsAfterCuePressEnterMove')}</Quiet>
          <div className="fields">
            {MOVABLE.map(([name, words]) => {
              const event = eventOf(rep.events, name);
              return event ? (
                <NumberField
                  key={`${rep.id} ${name}`}
                  label={words}
                  value={(event.atMs - cueMs) / 1000}
                  unit="s"
                  decimals={3}
                  min={-1}
                  max={FARTHEST_S}
                  onChange={(seconds) => move(name, seconds)}
                />
              ) : null;
            })}
          </div>
        </>
      )}
      {(problem ?? correct.error) && <Notice>{problem ?? correct.error?.message}</Notice>}
    </Panel>
  );
}
