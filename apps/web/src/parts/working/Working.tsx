import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../Button.js';
import { Notice } from '../Notice.js';
import { Quiet } from '../Text.js';
import type { Working as State } from './useWorking.js';
import { say } from '../../words/parts.js';

const Row = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  margin-bottom: 8px;
  /* A layer of its own: the rest of a long page need not be painted again with every step. */
  will-change: transform;
`;

const HUNDRED = 100;

/** A calculation's progress, with a button to stop it; nothing once it is done. */
export function Working({
  of: { answer, share, failed, cancel, again },
  what,
}: {
  of: State<unknown>;
  what: string;
}): ReactElement | null {
  if (failed)
    return (
      <Notice action={<Button onPress={again}>{say('tryAgain')}</Button>}>
        {say('whatCouldNotWorkedOut', { what })}
      </Notice>
    );
  if (share !== null)
    return (
      <Row>
        <progress value={Math.round(HUNDRED * share)} max={HUNDRED} aria-label={what} />
        <Quiet>{say('workingOutWhat', { what })}</Quiet>
        <Button onPress={cancel}>{say('stop')}</Button>
      </Row>
    );
  if (answer !== null) return null;
  return (
    <Row>
      <Button onPress={again}>{say('workOutWhat', { what })}</Button>
    </Row>
  );
}
