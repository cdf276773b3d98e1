import { KeyRound } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useMe, usePasskeySignIn, useSignIn } from '../../api/me.js';
import { canUsePasskeys, isGivenUp } from '../../api/passkeys.js';
import { useOutbox, useSending } from '../../device/outbox-context.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { EmailField, PasswordField } from './SignInFields.js';
import { say } from '../../words/account.js';

/** Signs in, and then opens the page that was asked for. */
export function SignInPage(): ReactElement {
  const me = useMe();
  const signIn = useSignIn();
  const { waiting } = useSending();
  const outbox = useOutbox();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const byPasskey = usePasskeySignIn();
  const comeIn = (signedIn: Promise<unknown>) =>
    signedIn.then(
      () => {
        void outbox.wake();
        if (pathname === '/sign-in') void navigate('/');
      },
      // The error is shown in the form.
      () => undefined,
    );
  const send = () => comeIn(signIn.mutateAsync({ email, password }));
  return (
    <Page name={say('signIn')}>
      <div style={{ maxWidth: 460 }}>
        <Headline>{say('signIn')}</Headline>
        <Quiet style={{ marginTop: 8 }}>{say('signInMeans')}</Quiet>
        {waiting > 0 && <Notice>{say('stillWaits', { waiting })}</Notice>}
        <form
          style={{ display: 'grid', gap: 14, marginTop: 20 }}
          onSubmit={(event) => {
            event.preventDefault();
            if (!signIn.isPending) void send();
          }}
        >
          <EmailField value={email} autoFocus onChange={setEmail} />
          <PasswordField isNew={false} value={password} onChange={setPassword} />
          {signIn.error && <Notice>{signIn.error.message}</Notice>}
          <p style={{ margin: 0 }}>
            <Button
              type="submit"
              weight="main"
              isDisabled={email === '' || password === '' || signIn.isPending}
            >
              {say(signIn.isPending ? 'signingIn' : 'signIn')}
            </Button>
          </p>
        </form>
        {canUsePasskeys() && (
          <p>
            <Button
              isDisabled={byPasskey.isPending}
              onPress={() => void comeIn(byPasskey.mutateAsync(undefined))}
            >
              <KeyRound size={18} aria-hidden /> {say('byPasskey')}
            </Button>
          </p>
        )}
        {byPasskey.error && !isGivenUp(byPasskey.error) && (
          <Notice>{say('passkeyNotRight')}</Notice>
        )}
        <Quiet style={{ marginTop: 22 }}>{say('noPassword')}</Quiet>
        {me.data?.isThisMachine && (
          <p>
            <Link to="/clubs">{say('otherClubs')}</Link>
          </p>
        )}
      </div>
    </Page>
  );
}
