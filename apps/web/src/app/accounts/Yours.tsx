import { weakPassword } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { useChangePassword, useRole, useSignOut } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { PasswordField } from './SignInFields.js';
import { say, weakWords } from '../../words/account.js';

function ChangePassword(): ReactElement {
  const change = useChangePassword();
  const [before, setBefore] = useState('');
  const [password, setPassword] = useState('');
  const weak = weakPassword(password, '');
  return (
    <form
      style={{ display: 'grid', gap: 12, maxWidth: 520, marginTop: 14 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (weak === null && !change.isPending) change.mutate({ before, password });
      }}
    >
      <Fields>
        <PasswordField
          label={say('passwordNow')}
          isNew={false}
          value={before}
          onChange={setBefore}
        />
        <PasswordField
          label={say('passwordNew')}
          isNew={true}
          value={password}
          onChange={setPassword}
        />
      </Fields>
      {password !== '' && weak !== null && <Notice>{weakWords(weak)}</Notice>}
      {change.error && <Notice>{change.error.message}</Notice>}
      {change.isSuccess && <Quiet role="status">{say('passwordChanged')}</Quiet>}
      <p style={{ margin: 0 }}>
        <Button type="submit" isDisabled={before === '' || weak !== null || change.isPending}>
          {say('changePassword')}
        </Button>
      </p>
    </form>
  );
}

/** Signing out, and changing the password. */
export function Yours({ hasPassword }: { hasPassword: boolean }): ReactElement {
  const out = useSignOut();
  const role = useRole();
  const navigate = useNavigate();
  const [changes, setChanges] = useState(false);
  return (
    <section aria-label={say('yours')} style={{ marginTop: 16 }}>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        <Button
          isDisabled={out.isPending}
          onPress={() => {
            void out.mutateAsync().then(
              () => navigate('/'),
              () => undefined,
            );
          }}
        >
          {say(role === 'floor' ? 'signOutDevice' : 'signOut')}
        </Button>
        {hasPassword && !changes && (
          <Button onPress={() => setChanges(true)}>{say('changePassword')}</Button>
        )}
      </div>
      {out.error && <Notice>{out.error.message}</Notice>}
      {changes && <ChangePassword />}
    </section>
  );
}
