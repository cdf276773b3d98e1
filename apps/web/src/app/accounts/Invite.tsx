import type { InvitationBody } from '@orthokin/contract';
import {
  INVITATION_DAYS,
  LONGEST_EMAIL,
  LONGEST_NAME,
  MOST_OWN_ATHLETES,
} from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { useInvite } from '../../api/accounts.js';
import { usePeople } from '../../api/people.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { InvitationLink } from '../../parts/InvitationLink.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { ROLE_OPTIONS, roleMeans, say } from '../../words/account.js';

/** Whom an invitation is for. */
export type Wanted = Pick<InvitationBody, 'name' | 'role' | 'athleteIds' | 'accountId'>;

const [, USUAL_DAYS] = INVITATION_DAYS;
const DAYS = [1, USUAL_DAYS, 31, 100, 365].map(
  (days) => [String(days), say('days', { days })] as const,
);
const NOBODY = '';

/** Creates a link: an invitation, or one for a new password. */
export function Invite({ wanted, onDone }: { wanted: Wanted; onDone: () => void }): ReactElement {
  const invite = useInvite();
  const people = usePeople();
  const [name, setName] = useState(wanted.name);
  const [role, setRole] = useState(wanted.role);
  const [athleteIds, setAthleteIds] = useState(wanted.athleteIds);
  const [email, setEmail] = useState('');
  const [days, setDays] = useState(String(USUAL_DAYS));
  if (invite.data) return <InvitationLink made={invite.data} onDone={onDone} />;
  const isReset = wanted.accountId !== null;
  const isAthlete = role === 'athlete' && !isReset;
  const nameOf = (id: string) => people.data?.find((each) => each.id === id)?.name ?? '';
  const isWhole = name.trim() !== '' && (!isAthlete || athleteIds.length > 0);
  const send = () =>
    invite.mutate({
      ...{ name: name.trim(), role, days: Number(days), accountId: wanted.accountId },
      athleteIds: role === 'athlete' ? athleteIds : [],
      email: email.trim() === '' ? null : email.trim(),
    });
  return (
    <form
      aria-label={say('invite')}
      style={{ display: 'grid', gap: 14, maxWidth: 820 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole && !invite.isPending) send();
      }}
    >
      <Fields>
        <OpenField
          label={say('inviteName')}
          value={name}
          maxLength={LONGEST_NAME}
          autoFocus
          onChange={setName}
        />
        {!isReset && (
          <SelectField
            label={say('inviteRole')}
            value={role}
            options={ROLE_OPTIONS}
            onChange={setRole}
          />
        )}
        <SelectField label={say('inviteDays')} value={days} options={DAYS} onChange={setDays} />
        <OpenField
          label={say('inviteEmail')}
          value={email}
          maxLength={LONGEST_EMAIL}
          type="email"
          onChange={setEmail}
        />
        {isAthlete && (
          <SelectField
            label={say('inviteWhose')}
            value={NOBODY}
            options={[
              [NOBODY, say('addAthlete')] as const,
              ...(people.data ?? [])
                .filter(({ id }) => !athleteIds.includes(id))
                .map(({ id, name: athlete }) => [id, athlete] as const),
            ]}
            onChange={(id) => {
              if (id === NOBODY || athleteIds.length >= MOST_OWN_ATHLETES) return;
              setAthleteIds([...athleteIds, id]);
              if (name === '') setName(nameOf(id));
            }}
          />
        )}
      </Fields>
      {isAthlete && (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <Quiet as="span">{say('inviteWhoseMeans')}</Quiet>
          {athleteIds.map((id) => (
            <Button
              key={id}
              aria-label={say('takeOff', { name: nameOf(id) })}
              onPress={() => setAthleteIds(athleteIds.filter((each) => each !== id))}
            >
              {nameOf(id)} ×
            </Button>
          ))}
        </div>
      )}
      {!isReset && <Quiet>{roleMeans(role)}</Quiet>}
      {invite.error && <Notice>{invite.error.message}</Notice>}
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        <Button type="submit" weight="main" isDisabled={!isWhole || invite.isPending}>
          {say(invite.isPending ? 'makingLink' : 'makeLink')}
        </Button>
        <Button onPress={onDone}>{say('notNow')}</Button>
      </div>
    </form>
  );
}
