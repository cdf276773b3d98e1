import { useState, type ReactElement } from 'react';
import { Input, TextArea } from 'react-aria-components';
import { FieldBox, FieldLabel } from './field.js';

interface Words {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly maxLength: number;
  /** More than one line to write on. */
  readonly rows?: number;
  readonly autoFocus?: boolean;
  /** What is typed, for keyboards and for what keeps passwords. */
  readonly type?: 'text' | 'email' | 'password';
  readonly autoComplete?: string;
}

/** Words; taken when the field is left or Enter is pressed. Empty stays as it was where `required`. */
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

/** Words; taken with every key, for what shows or is searched while it is typed. */
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
