import { acceptedAs, checkLeg, findingKey, type Finding } from '@orthokin/core/footwork';
import type { Leg } from '@orthokin/core/pattern';
import { Check, CircleAlert } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { findingSentence } from '../../words/finding.js';
import { useSelection } from '../state/selection.js';
import { useUnit } from '../state/unit.js';
import { say } from '../../words/studio.js';

const List = styled.ul`
  display: grid;
  gap: 8px;
  margin: 0 0 18px;
  padding: 0;
  list-style: none;
  li {
    padding-left: 12px;
    border-left: 4px solid ${colour('bad')};
  }
  li[data-accepted='true'] {
    border-left-color: ${colour('rule')};
    color: ${colour('quiet')};
  }
  button.plain {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    text-align: left;
    cursor: pointer;
  }
  button.link {
    padding: 2px 0;
    border: 0;
    background: none;
    color: ${colour('quiet')};
    font-size: 15px;
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
`;

const Good = styled.p`
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0 0 18px;
  color: ${colour('good')};
`;

function Reason({ onGive, onLeave }: { onGive: (reason: string) => void; onLeave: () => void }) {
  const [reason, setReason] = useState('');
  return (
    <form
      style={{ display: 'grid', gap: 8, margin: '6px 0' }}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onGive(reason.trim());
      }}
    >
      <OpenField
        label={say('whyMayStand')}
        value={reason}
        maxLength={200}
        autoFocus
        onChange={setReason}
      />
      <div style={{ display: 'flex', gap: 8 }}>
        <Button type="submit" isDisabled={!reason.trim()}>
          {say('letStand')}
        </Button>
        <Button onPress={onLeave}>{say('leaveOpen')}</Button>
      </div>
    </form>
  );
}

function FindingLine({ finding, leg }: { finding: Finding; leg: Leg }): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit } = useUnit();
  const { pick } = useSelection();
  const [asking, setAsking] = useState(false);
  const accepted = acceptedAs(pattern, finding);
  const [step] = finding.steps;
  const key = findingKey(finding);
  const sentence = findingSentence(finding, leg, unit);
  return (
    <li data-accepted={accepted !== undefined}>
      {step === undefined ? (
        sentence
      ) : (
        <button type="button" className="plain" onClick={() => pick(step)}>
          {sentence}
        </button>
      )}{' '}
      {accepted ? (
        <>
          {say('standsReason', { reason: accepted.reason })}{' '}
          <button
            type="button"
            className="link"
            onClick={() =>
              edit((now) => ({
                ...now,
                accepted: now.accepted.filter((each) => each.finding !== key),
              }))
            }
          >
            {say('takeBack')}
          </button>
        </>
      ) : asking ? (
        <Reason
          onLeave={() => setAsking(false)}
          onGive={(reason) => {
            setAsking(false);
            edit((now) => ({ ...now, accepted: [...now.accepted, { finding: key, reason }] }));
          }}
        />
      ) : (
        <button type="button" className="link" onClick={() => setAsking(true)}>
          {say('letStand2')}
        </button>
      )}
    </li>
  );
}

/** Shown at once; fixing some brings up the next. */
const MOST_SHOWN = 10;

/** What checks found in the open leg, or that they found nothing. */
export function Findings({ leg }: { leg: Leg }): ReactElement {
  const { pattern } = useEditor();
  const findings = checkLeg(pattern, leg.target);
  if (findings.length === 0)
    return (
      <Good role="status">
        <Check size={19} aria-hidden /> {say('nothingAmissThisLeg')}
      </Good>
    );
  return (
    <div role="status">
      <p style={{ display: 'flex', gap: 8, margin: '0 0 8px', fontWeight: 650 }}>
        <CircleAlert size={20} color="var(--bad)" aria-hidden /> {say('look')}
      </p>
      <List>
        {findings.slice(0, MOST_SHOWN).map((finding) => (
          <FindingLine key={findingKey(finding)} finding={finding} leg={leg} />
        ))}
      </List>
      {findings.length > MOST_SHOWN && (
        <Quiet style={{ marginBottom: 18 }}>
          {say('findingsMore', { findings: findings.length - MOST_SHOWN })}
        </Quiet>
      )}
    </div>
  );
}
