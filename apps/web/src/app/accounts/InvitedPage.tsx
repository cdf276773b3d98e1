import type { OwnerBody } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useAccept, useInvited } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { roleMeans, roleWords, say } from '../../words/account.js';
import { dateWords } from '../../words/format.js';
import { OwnAccountFields } from './OwnAccountFields.js';

function Invited({ token }: { token: string }): ReactElement {
  const invited = useInvited(token);
  const accept = useAccept();
  const navigate = useNavigate();
  if (!invited.data)
    return invited.error ? (
      <Notice>{say('noInvitation')}</Notice>
    ) : (
      <Quiet>{say('readingInvitation')}</Quiet>
    );
  const { club, name, role, resets, until } = invited.data;
  const isReset = resets !== null;
  const comeIn = (account: OwnerBody | null) =>
    void accept.mutateAsync({ token, account }).then(
      () => navigate('/', { replace: true }),
      () => undefined,
    );
  return (
    <>
      <Headline>{say(isReset ? 'resetHeadline' : 'invitedTo', { club, name })}</Headline>
      <Quiet style={{ marginTop: 8, maxWidth: '62ch' }}>
        {isReset
          ? say('resetMeans')
          : say('asRole', { role: roleWords(role), means: roleMeans(role) })}
      </Quiet>
      {role === 'athlete' && !isReset && (
        <>
          <p style={{ marginBottom: 6 }}>
            <Button weight="main" isDisabled={accept.isPending} onPress={() => comeIn(null)}>
              {say('onlyThisDevice')}
            </Button>
          </p>
          <Quiet>{say('onlyThisDeviceMeans', { until: dateWords(until.slice(0, 10)) })}</Quiet>
          {accept.error && <Notice>{accept.error.message}</Notice>}
          <Heading style={{ marginTop: 26 }}>{say('orAccount')}</Heading>
        </>
      )}
      <OwnAccountFields
        known={{ name, email: resets }}
        send={{ words: say('takeUp'), pending: say('comingIn') }}
        isPending={accept.isPending}
        error={accept.error}
        onSend={comeIn}
      />
    </>
  );
}

/** The page of an invitation's link; its token stands after the `#`. */
export function InvitedPage(): ReactElement {
  const { hash } = useLocation();
  const token = hash.slice(1);
  return (
    <Page name={say('invited')}>
      {/^[\w-]{43}$/.test(token) ? (
        <Invited token={token} />
      ) : (
        <Notice>{say('noInvitation')}</Notice>
      )}
    </Page>
  );
}
