import { Search, X } from 'lucide-react';
import type { ReactElement } from 'react';
import { Button, Input, Label, SearchField as Field } from 'react-aria-components';
import styled from 'styled-components';
import { say } from '../../words/parts.js';
import { Unseen } from '../Text.js';
import { colour, FONT } from '../tokens.js';

const Box = styled(Field)`
  position: relative;
  flex: 0 1 300px;
  min-width: 0;
  > svg {
    position: absolute;
    left: 10px;
    top: 11px;
    color: ${colour('quiet')};
  }
  input {
    width: 100%;
    min-height: 40px;
    padding: 6px 36px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font: 500 16px/1.35 ${FONT};
  }
  input::-webkit-search-cancel-button {
    display: none;
  }
  button {
    position: absolute;
    right: 2px;
    top: 2px;
    display: grid;
    place-items: center;
    width: 36px;
    height: 36px;
    border: 0;
    background: none;
    color: ${colour('quiet')};
    cursor: pointer;
  }
  &[data-empty] button {
    display: none;
  }
`;

/** A search field that reports every keystroke; Escape empties it. */
export const SearchField = ({
  label,
  placeholder,
  value,
  onChange,
  maxLength = 80,
}: {
  label: string;
  placeholder: string;
  value: string;
  onChange: (value: string) => void;
  maxLength?: number;
}): ReactElement => (
  <Box {...{ value, onChange, maxLength }}>
    <Label>
      <Unseen>{label}</Unseen>
    </Label>
    <Search size={18} aria-hidden />
    <Input placeholder={placeholder} />
    <Button aria-label={say('emptyIt')}>
      <X size={16} aria-hidden />
    </Button>
  </Box>
);
