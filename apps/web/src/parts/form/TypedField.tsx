import type { Result } from '@orthokin/core/result';
import { useId, useState, type ReactElement } from 'react';
import { Unseen } from '../Text.js';
import { FieldBox } from './field.js';

/**
 * A value that is typed as text and taken when the field is left or Enter is pressed. What cannot
 * be read stays as typed, with what is allowed below it; Escape brings the value back.
 */
export function TypedField<Value>({
  label,
  hideLabel = false,
  value,
  show,
  parse,
  onChange,
}: {
  label: string;
  hideLabel?: boolean;
  value: Value;
  show: (value: Value) => string;
  parse: (text: string) => Result<Value>;
  onChange: (value: Value) => void;
}): ReactElement {
  const id = useId();
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
    <FieldBox>
      <label htmlFor={id}>{hideLabel ? <Unseen>{label}</Unseen> : label}</label>
      <input
        id={id}
        value={typed ?? shown}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}wrong` : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {problem && (
        <span id={`${id}wrong`} className="wrong" role="alert">
          {label}: {problem.allowed}
        </span>
      )}
    </FieldBox>
  );
}
