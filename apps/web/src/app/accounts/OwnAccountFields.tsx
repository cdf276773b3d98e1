import type { OwnerBody } from '@orthokin/contract';
import { LONGEST_NAME, weakPassword } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { EmailField, PasswordField } from './SignInFields.js';
import { say, weakWords } from '../../words/account.js';

interface Props {
  /** The invited person; if the email address is known only the password is asked for. */
  readonly known?: { readonly name: string; readonly email: string | null };
  readonly send: { readonly words: string; readonly pending: string };
  readonly isPending: boolean;
  readonly error: Error | null;
  readonly onSend: (account: OwnerBody) => void;
}

/** The fields of a new account: name, email address, password. */
export function OwnAccountFields(props: Props): ReactElement {
  const [name, setName] = useState(props.known?.name ?? '');
  const known = props.known?.email ?? null;
  const [email, setEmail] = useState(known ?? '');
  const [password, setPassword] = useState('');
  const weak = weakPassword(password, email);
  const isWhole = name.trim() !== '' && /.@./.test(email) && weak === null;
  return (
    <form
      style={{ display: 'grid', gap: 14, maxWidth: 620, marginTop: 14 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole && !props.isPending)
          props.onSend({ name: name.trim(), email: email.trim(), password });
      }}
    >
      <Fields>
        {known === null && (
          <>
            <OpenField
              label={say('yourName')}
              value={name}
              maxLength={LONGEST_NAME}
              autoComplete="name"
              onChange={setName}
            />
            <EmailField value={email} onChange={setEmail} />
          </>
        )}

        <PasswordField isNew={true} value={password} onChange={setPassword} />
      </Fields>
      {password !== '' && weak !== null && <Notice>{weakWords(weak)}</Notice>}
      {props.error && <Notice>{props.error.message}</Notice>}
      <p style={{ margin: 0 }}>
        <Button type="submit" weight="main" isDisabled={!isWhole || props.isPending}>
          {props.isPending ? props.send.pending : props.send.words}
        </Button>
      </p>
    </form>
  );
}
