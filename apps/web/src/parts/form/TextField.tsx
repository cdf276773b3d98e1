import { useState, type ReactElement } from 'react';
import { Input, TextArea } from 'react-aria-components';
import { FieldBox, FieldLabel } from './field.js';

interface Words {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly maxLength: number;
  /** Number of lines, if more than one. */
  readonly rows?: number;
  readonly autoFocus?: boolean;
  /** Kind of text, for on-screen keyboards and password managers. */
  readonly type?: 'text' | 'email' | 'password';
  readonly autoComplete?: string;
}

/** A text, reported on leaving the field or Enter. If `required`, an empty text is not reported. */
export function TextField({
  value,
  onChange,
  required = false,
  ...words
}: Words & { required?: boolean }): ReactElement {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    const text = typed?.trim();
    if (text !== undefined && text !== value && (text !== '' || !required)) onChange(text);
    setTyped(null);
  };
  return (
    <OpenField
      {...words}
      value={typed ?? value}
      onChange={setTyped}
      onBlur={take}
      onKey={(key) => {
        if (key === 'Enter' && words.rows === undefined) take();
        if (key === 'Escape') setTyped(null);
      }}
    />
  );
}

/** A text, reported on every keystroke. */
export function OpenField({
  label,
  hideLabel = false,
  rows,
  onKey,
  ...field
}: Words & { onBlur?: () => void; onKey?: (key: string) => void }): ReactElement {
  return (
    <FieldBox {...field} onKeyDown={({ key }) => onKey?.(key)}>
      <FieldLabel label={label} hidden={hideLabel} />
      {rows === undefined ? <Input /> : <TextArea rows={rows} />}
    </FieldBox>
  );
}
