import { ChevronDown } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, type ReactElement } from 'react';
import {
  Button,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Select,
  SelectValue,
} from 'react-aria-components';
import styled from 'styled-components';
import { Unseen } from '../Text.js';
import { colour, FONT } from '../tokens.js';

const Box = styled(Select)`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
  min-width: 0;
  .react-aria-Label {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  button {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 6px;
    width: 100%;
    min-height: 40px;
    padding: 6px 8px 6px 11px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font: 500 16px/1.2 ${FONT};
    text-align: left;
    cursor: pointer;
  }
  .react-aria-SelectValue {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  svg {
    flex: none;
  }
`;

const Options = styled(Popover)`
  min-width: var(--trigger-width);
  max-height: 340px;
  overflow: auto;
  border: 1.5px solid ${colour('ink')};
  border-radius: 4px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  .react-aria-ListBox {
    outline: none;
    padding: 4px;
  }
  .react-aria-ListBoxItem {
    padding: 9px 12px;
    border-radius: 3px;
    cursor: pointer;
    outline: none;
  }
  .react-aria-ListBoxItem[data-selected] {
    font-weight: 700;
  }
  .react-aria-ListBoxItem[data-focused] {
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
`;

/** A value, or a value with its label. */
type Option<Value extends string> = Value | readonly [value: Value, words: string];

interface Choice<Value extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: Value;
  readonly options: readonly Option<Value>[];
  readonly onChange: (value: Value) => void;
}

/** Memoised: React Aria's collection of options is too slow to rebuild in every frame of a drag. */
const Drawn = memo(function Drawn({
  label,
  hideLabel = false,
  value,
  options,
  onChange,
}: Choice<string>): ReactElement {
  return (
    <Box value={value} onChange={(key) => key !== null && onChange(String(key))}>
      <Label>{hideLabel ? <Unseen>{label}</Unseen> : label}</Label>
      <Button>
        <SelectValue />
        <ChevronDown size={17} aria-hidden />
      </Button>
      <Options>
        <ListBox>
          {options.map((option) => {
            const [id, words] = typeof option === 'string' ? [option, option] : option;
            return (
              <ListBoxItem key={id} id={id}>
                {words}
              </ListBoxItem>
            );
          })}
        </ListBox>
      </Options>
    </Box>
  );
});

/** Selects one of a few values. */
export function SelectField<Value extends string>(props: Choice<Value>): ReactElement {
  const latest = useRef(props.onChange);
  useEffect(() => {
    latest.current = props.onChange;
  });
  const choose = useCallback((value: string) => latest.current(value as Value), []);
  return <Drawn {...props} onChange={choose} />;
}
