import { LONGEST_EMAIL, PASSWORD_LENGTH } from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { OpenField } from '../../parts/form/TextField.js';
import { say } from '../../words/account.js';

interface Typed {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly autoFocus?: boolean;
}

/** An email address, as whoever signs in is known by. */
export const EmailField = (typed: Typed): ReactElement => (
  <OpenField
    {...typed}
    label={say('email')}
    maxLength={LONGEST_EMAIL}
    type="email"
    autoComplete="username"
  />
);

/** A password field, for the existing one or for a new one, which browsers offer to generate. */
export const PasswordField = ({
  label = say('password'),
  isNew,
  ...typed
}: Typed & { label?: string; isNew: boolean }): ReactElement => (
  <OpenField
    {...typed}
    label={label}
    maxLength={PASSWORD_LENGTH[1]}
    type="password"
    autoComplete={isNew ? 'new-password' : 'current-password'}
  />
);
