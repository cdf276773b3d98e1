import { isFor, ROUTES } from '@orthokin/contract/routes';
import type { ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { useMakeOwner, useMe, useRole } from '../../api/me.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { roleWords, say } from '../../words/account.js';
import { BeFloorDevice } from './BeFloorDevice.js';
import { Devices } from './Devices.js';
import { JoinedScreens } from './JoinedScreens.js';
import { LetIn } from './LetIn.js';
import { Passkeys } from './Passkeys.js';
import { OwnAccountFields } from './OwnAccountFields.js';
import { Yours } from './Yours.js';

/** Gives a club without an owner its first one. */
function StillOpen(): ReactElement {
  const { name } = useClub();
  const make = useMakeOwner();
  return (
    <>
      <Headline>{say('openHeadline', { club: name })}</Headline>
      <Quiet style={{ marginTop: 8, maxWidth: '66ch' }}>{say('openMeans')}</Quiet>
      <OwnAccountFields
        send={{ words: say('makeOwner'), pending: say('makingOwner') }}
        isPending={make.isPending}
        error={make.error}
        onSend={(account) => make.mutate(account)}
      />
    </>
  );
}

/** Who this device is signed in as; for owners also the club's accounts and devices. */
export function AccountPage(): ReactElement {
  const me = useMe();
  const role = useRole();
  const signedIn = me.data?.signedIn;
  if (!signedIn)
    return (
      <Page name={say('account')}>
        <StillOpen />
      </Page>
    );
  const named = { name: signedIn.name, role: roleWords(role) };
  return (
    <Page name={say('account')}>
      <Headline>
        {say(signedIn.name === '' ? 'youTry' : role === 'floor' ? 'youAreDevice' : 'youAre', named)}
      </Headline>
      <Yours hasPassword={signedIn.accountId !== null} />
      {signedIn.accountId !== null && <Passkeys />}
      {role === 'owner' && <LetIn ownId={signedIn.accountId} />}
      <Devices>
        {isFor(ROUTES.beFloorDevice, role) && <BeFloorDevice />}
        {isFor(ROUTES.joinedScreens, role) && <JoinedScreens />}
      </Devices>
    </Page>
  );
}
