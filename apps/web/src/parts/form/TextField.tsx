import { useId, useState, type ReactElement } from 'react';
import { Unseen } from '../Text.js';
import { FieldBox } from './field.js';

/** Words; taken when the field is left or Enter is pressed. Empty stays as it was where `required`. */
export function TextField({
  label,
  hideLabel = false,
  value,
  onChange,
  maxLength,
  rows,
  required = false,
}: {
  label: string;
  hideLabel?: boolean;
  value: string;
  onChange: (value: string) => void;
  maxLength: number;
  /** More than one line to write on. */
  rows?: number;
  required?: boolean;
}): ReactElement {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    const text = typed?.trim();
    if (text !== undefined && text !== value && (text !== '' || !required)) onChange(text);
    setTyped(null);
  };
  const Input = rows === undefined ? 'input' : 'textarea';
  return (
    <FieldBox>
      <label htmlFor={id}>{hideLabel ? <Unseen>{label}</Unseen> : label}</label>
      <Input
        id={id}
        rows={rows}
        maxLength={maxLength}
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && rows === undefined) take();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
    </FieldBox>
  );
}
