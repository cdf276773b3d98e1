import { Plus } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../Button.js';
import { Notice } from '../Notice.js';
import { OpenField } from './TextField.js';

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 14px;
  margin-bottom: 10px;
`;

/** Adds something new by name, with a button or Enter. */
export function AddByName({
  label,
  button,
  maxLength,
  onAdd,
  refused,
}: {
  label: string;
  button: string;
  maxLength: number;
  /** @returns whether it was added */
  onAdd: (name: string) => boolean;
  /** The message for a name that was not added. */
  refused: (name: string) => string;
}): ReactElement {
  const [name, setName] = useState('');
  const [isRefused, setRefused] = useState(false);
  const add = () => {
    if (name.trim() === '') return;
    const isAdded = onAdd(name);
    setRefused(!isAdded);
    if (isAdded) setName('');
  };
  return (
    <>
      <Line>
        <OpenField
          {...{ label, maxLength }}
          value={name}
          onChange={(text) => {
            setName(text);
            setRefused(false);
          }}
          onKey={(key) => {
            if (key === 'Enter') add();
          }}
        />
        <Button isDisabled={name.trim() === ''} onPress={add}>
          <Plus size={18} aria-hidden /> {button}
        </Button>
      </Line>
      {isRefused && <Notice>{refused(name.trim())}</Notice>}
    </>
  );
}
