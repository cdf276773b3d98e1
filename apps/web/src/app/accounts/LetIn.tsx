import { useState, type ReactElement } from 'react';
import {
  useAccounts,
  useEndAccount,
  useEndInvitation,
  useInvitations,
  useSaveAccount,
} from '../../api/accounts.js';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading } from '../../parts/Text.js';
import { ROLE_OPTIONS, roleWords, say } from '../../words/account.js';
import { dateWords } from '../../words/format.js';
import { Invite, type Wanted } from './Invite.js';
import { Rows } from '../../parts/Rows.js';

/** The club's accounts and invitations, with a button to invite. */
export function LetIn({ ownId }: { ownId: string | null }): ReactElement {
  const accounts = useAccounts();
  const invitations = useInvitations();
  const save = useSaveAccount();
  const end = useEndAccount();
  const takeBack = useEndInvitation();
  const [ending, setEnding] = useState<string | null>(null);
  const [wanted, setWanted] = useState<Wanted | null>(null);
  // Until both lists are loaded the button below could move away from under a finger.
  const isRead = !accounts.isPending && !invitations.isPending;
  const error = accounts.error ?? invitations.error ?? save.error ?? end.error ?? takeBack.error;
  return (
    <>
      <section style={{ marginTop: 34 }}>
        <Heading>{say('people')}</Heading>
        {error && <Notice>{error.message}</Notice>}
        <Rows aria-label={say('people')}>
          {(accounts.data ?? []).map(({ id, name, email, role, athleteIds }) => (
            <li key={id}>
              <div>
                <strong>{name}</strong>
                <small>{[email, ...(id === ownId ? [say('self')] : [])].join(' · ')}</small>
              </div>
              <SelectField
                label={say('roleOf', { name })}
                hideLabel
                value={role}
                // An athlete's account needs athletes, which are chosen with an invitation.
                options={ROLE_OPTIONS.filter(
                  ([of]) => of !== 'athlete' || role === 'athlete' || athleteIds.length > 0,
                )}
                onChange={(changed) => save.mutate({ id, role: changed, athleteIds })}
              />
              <Button onPress={() => setWanted({ name, role, athleteIds, accountId: id })}>
                {say('newPasswordLink')}
              </Button>
              {id !== ownId && (
                <Button
                  aria-label={say('endAccount', { name })}
                  onPress={() => setEnding(ending === id ? null : id)}
                >
                  {say('takeAwayShort')}
                </Button>
              )}
              {ending === id && (
                <Notice>
                  {say('endsAccount', { name })}{' '}
                  <Button onPress={() => end.mutate(id, { onSettled: () => setEnding(null) })}>
                    {say('yesEnd')}
                  </Button>{' '}
                  <Button onPress={() => setEnding(null)}>{say('keepIt')}</Button>
                </Notice>
              )}
            </li>
          ))}
        </Rows>
      </section>
      {(invitations.data ?? []).length > 0 && (
        <section style={{ marginTop: 26 }}>
          <Heading>{say('open')}</Heading>
          <Rows aria-label={say('open')}>
            {(invitations.data ?? []).map(({ id, name, role, accountId, until }) => (
              <li key={id}>
                <div>
                  <strong>{name}</strong>
                  <small>
                    {[
                      accountId === null ? roleWords(role) : say('forNewPassword'),
                      say('until', { until: dateWords(until.slice(0, 10)) }),
                    ].join(' · ')}
                  </small>
                </div>
                <Button
                  aria-label={say('takeBack', { name })}
                  isDisabled={takeBack.isPending}
                  onPress={() => takeBack.mutate(id)}
                >
                  {say('takeBackShort')}
                </Button>
              </li>
            ))}
          </Rows>
        </section>
      )}
      {isRead && (
        <section style={{ marginTop: 26 }}>
          {wanted ? (
            <Invite key={wanted.accountId} wanted={wanted} onDone={() => setWanted(null)} />
          ) : (
            <Button
              weight="main"
              onPress={() =>
                setWanted({ name: '', role: 'coach', athleteIds: [], accountId: null })
              }
            >
              {say('invite')}
            </Button>
          )}
        </section>
      )}
    </>
  );
}
