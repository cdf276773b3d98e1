import { LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import {
  MOST_SELF_CHECKS,
  PRACTICE_MINUTES,
  practisedInWeek,
  type SelfCheck,
} from '@orthokin/core/plan';
import { X } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { usePractice, useWritePractice } from '../../api/practice.js';
import { epochNow } from '../../drill/set-clock.js';
import { Button } from '../../parts/Button.js';
import { EffortScale } from '../../parts/EffortScale.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { DateField } from '../../parts/form/DateField.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { TextField } from '../../parts/form/TextField.js';
import { IconButton } from '../../parts/IconButton.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { practiceWords, say } from '../../words/home.js';
import { today } from '../today.js';

const Box = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 640px;
  margin-bottom: 22px;
  .short {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 12px;
  }
  fieldset {
    display: grid;
    gap: 10px;
    margin: 0;
    padding: 0;
    border: 0;
  }
  legend {
    padding: 0;
    font-weight: 600;
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
    border-bottom: 1px solid var(--rule);
  }
`;

const SHOWN = 10;

/** Self-checks, if at least one was ticked. */
const checksOf = (asks: readonly string[], held: ReadonlySet<string>): SelfCheck[] =>
  held.size === 0
    ? []
    : asks.slice(0, MOST_SELF_CHECKS).map((ask) => ({ ask, holds: held.has(ask) }));

/** Records practice at home; sent when there is a network. */
export function WriteDown({
  athleteId,
  asks,
  wanted,
  usual,
}: {
  athleteId: string;
  /** Self-check questions, without duplicates. */
  asks: readonly string[];
  /** Minutes planned for this week; `null` if none are. */
  wanted: number | null;
  /** Default minutes. */
  usual: number;
}): ReactElement {
  const { data: all = [] } = usePractice();
  const write = useWritePractice();
  const fresh = { day: today(), minutes: usual, effort: null as number | null, text: '' };
  const [draft, setDraft] = useState(fresh);
  // A phone has no room for the questions together with the button.
  const [isAsking, setAsking] = useState(false);
  const [held, setHeld] = useState<ReadonlySet<string>>(new Set());
  const own = all.filter((one) => one.athleteId === athleteId);
  const done = practisedInWeek(own, athleteId, today());
  const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
  const writtenAt = () => new Date(epochNow()).toISOString();
  return (
    <Box className="no-print" aria-label={say('writeDown')}>
      <Heading>{say('writeDown')}</Heading>
      <span role="status">
        {wanted === null ? say('doneSoFar', { done }) : say('doneOfWanted', { done, wanted })}
      </span>
      <div className="short">
        <DateField
          label={say('day')}
          value={draft.day}
          onChange={(day) => day !== null && set({ day })}
        />
        <CountField
          label={say('minutes')}
          value={draft.minutes}
          min={PRACTICE_MINUTES[0]}
          max={PRACTICE_MINUTES[1]}
          onChange={(minutes) => set({ minutes })}
        />
      </div>
      <EffortScale
        label={say('howHard')}
        value={draft.effort}
        onChange={(effort) => set({ effort })}
      />
      <TextField
        label={say('noticed')}
        value={draft.text}
        maxLength={LONGEST_SESSION_NOTE}
        onChange={(text) => set({ text })}
      />
      {asks.length > 0 && !isAsking && (
        <p style={{ margin: 0 }}>
          <Button aria-expanded={false} onPress={() => setAsking(true)}>
            {say('selfCheckFolded', { count: asks.length })}
          </Button>
        </p>
      )}
      {isAsking && (
        <fieldset>
          <legend>{say('selfCheck')}</legend>
          <Quiet>{say('tickHeld')}</Quiet>
          {asks.map((ask) => (
            <CheckField
              key={ask}
              isSelected={held.has(ask)}
              onChange={(holds) =>
                setHeld(new Set([...held].filter((one) => one !== ask).concat(holds ? [ask] : [])))
              }
            >
              {ask}
            </CheckField>
          ))}
        </fieldset>
      )}
      <p style={{ margin: 0 }}>
        <Button
          weight="main"
          onPress={() => {
            write.mutate({
              ...{ id: v7(), athleteId, ...draft, checks: checksOf(asks, held) },
              ...{ writtenAt: writtenAt(), removed: false },
            });
            setDraft(fresh);
            setHeld(new Set());
            setAsking(false);
          }}
        >
          {say('writeIt')}
        </Button>
      </p>
      {write.error && <Notice>{write.error.message}</Notice>}
      <ul>
        {own.slice(0, SHOWN).map((one) => (
          <li key={one.id}>
            {practiceWords(one)}
            <IconButton
              aria-label={say('takeBackOf', { what: practiceWords(one) })}
              onPress={() => write.mutate({ ...one, writtenAt: writtenAt(), removed: true })}
            >
              <X size={18} />
            </IconButton>
          </li>
        ))}
      </ul>
      {own.length === 0 && <Quiet>{say('nothingWritten')}</Quiet>}
    </Box>
  );
}
