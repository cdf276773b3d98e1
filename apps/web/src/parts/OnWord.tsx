import { LONGEST_REASON } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { say } from '../words/parts.js';
import { Button } from './Button.js';
import { OpenField } from './form/TextField.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
  margin: 12px 0;
  > div:first-child {
    flex: 0 1 320px;
  }
`;

/** Asks who approved a move up, if the ladder requires approval. */
export function OnWord({
  isPending,
  onSay,
}: {
  isPending: boolean;
  onSay: (word: string) => void;
}): ReactElement {
  const [word, setWord] = useState('');
  return (
    <Row role="group" aria-label={say('onWhoseWord')}>
      <OpenField
        label={say('onWhoseWord')}
        value={word}
        maxLength={LONGEST_REASON}
        autoFocus
        onChange={setWord}
      />
      <Button isDisabled={word.trim() === '' || isPending} onPress={() => onSay(word.trim())}>
        {say('onThatWord')}
      </Button>
    </Row>
  );
}
