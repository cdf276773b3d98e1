import type { Result } from '@orthokin/core/result';
import { useState, type ReactElement } from 'react';
import { FieldError, Input, Text } from 'react-aria-components';
import { FieldBox, FieldLabel } from './field.js';

/**
 * A value entered as text, reported on leaving the field or Enter. Text that cannot be parsed stays, with the allowed
 * values below it; Escape restores the value.
 */
export function TypedField<Value>({
  label,
  hideLabel = false,
  value,
  show,
  parse,
  onChange,
  hint,
}: {
  label: string;
  hideLabel?: boolean;
  value: Value;
  show: (value: Value) => string;
  parse: (text: string) => Result<Value>;
  onChange: (value: Value) => void;
  /** Shown below the field. */
  hint?: string | undefined;
}): ReactElement {
  const shown = show(value);
  const [typed, setTyped] = useState<string | null>(null);
  const parsed = typed === null ? null : parse(typed);
  const problem = parsed && !parsed.ok ? parsed.problem : null;
  const take = () => {
    if (typed === null || typed === shown) setTyped(null);
    else if (parsed?.ok) {
      onChange(parsed.value);
      setTyped(null);
    }
  };
  return (
    <FieldBox
      value={typed ?? shown}
      isInvalid={problem !== null}
      validationBehavior="aria"
      onChange={setTyped}
      onBlur={take}
      onKeyDown={({ key }) => {
        if (key === 'Enter') take();
        if (key === 'Escape') setTyped(null);
      }}
    >
      <FieldLabel label={label} hidden={hideLabel} />
      <Input onFocus={(event) => event.target.select()} />
      {hint !== undefined && <Text slot="description">{hint}</Text>}
      <FieldError>
        <span role="alert">
          {label}: {problem?.allowed}
        </span>
      </FieldError>
    </FieldBox>
  );
}
