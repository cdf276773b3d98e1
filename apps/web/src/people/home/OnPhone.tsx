import { ROUTES } from '@orthokin/contract/routes';
import type { PersonReply } from '@orthokin/contract';
import { QRCodeSVG } from 'qrcode.react';
import type { ReactElement } from 'react';
import { useInvite } from '../../api/accounts.js';
import { useMay, useOwnName } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { InvitationLink } from '../../parts/InvitationLink.js';
import { isLoopback } from '../../parts/is-loopback.js';
import { Notice } from '../../parts/Notice.js';
import { say } from '../../words/home.js';

/** A home sheet is for some weeks; its link should not be valid for much longer. */
const LET_IN_DAYS = 31;

/** Creates a link that gives the athlete's phone access until a day, to scan or to print. */
function LetPhoneIn({ person }: { person: Pick<PersonReply, 'id' | 'name'> }): ReactElement {
  const invite = useInvite();
  if (invite.data) return <InvitationLink made={invite.data} onDone={() => invite.reset()} />;
  const send = () =>
    invite.mutate({
      ...{ name: person.name, role: 'athlete', athleteIds: [person.id] },
      ...{ email: null, accountId: null, days: LET_IN_DAYS },
    });
  return (
    <p className="no-print">
      <Button isDisabled={invite.isPending} onPress={send}>
        {say('letPhoneIn', { days: LET_IN_DAYS })}
      </Button>
      {invite.error && <Notice>{invite.error.message}</Notice>}
    </p>
  );
}

/** How to open this page on the athlete's phone; nothing if other devices cannot reach the server. */
export function OnPhone({
  person,
}: {
  person: Pick<PersonReply, 'id' | 'name'>;
}): ReactElement | null {
  const mayInvite = useMay(ROUTES.invite);
  const [, type] = useOwnName();
  // With accounts the bare address would only lead to the sign-in.
  if (type === null) return mayInvite ? <LetPhoneIn person={person} /> : null;
  return isLoopback() ? null : (
    <p style={{ display: 'flex', alignItems: 'center', gap: 14, marginTop: 12 }}>
      <QRCodeSVG value={window.location.href} size={80} title={say('scanHere')} /> {say('scanHere')}
    </p>
  );
}
