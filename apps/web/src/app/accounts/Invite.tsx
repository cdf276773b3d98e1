import type { InvitationBody, InvitationReply } from '@orthokin/contract';
import {
  INVITATION_DAYS,
  LONGEST_EMAIL,
  LONGEST_NAME,
  MOST_OWN_ATHLETES,
  PERSON_ROLES,
} from '@orthokin/core/people';
import { QRCodeSVG } from 'qrcode.react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useInvite } from '../../api/accounts.js';
import { usePeople } from '../../api/people.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { isLoopback } from '../../parts/is-loopback.js';
import { colour } from '../../parts/tokens.js';
import { roleMeans, roleWords, say } from '../../words/account.js';
import { dateWords } from '../../words/format.js';

/** Whom a link is wanted for. */
export type Wanted = Pick<InvitationBody, 'name' | 'role' | 'athleteIds' | 'accountId'>;

const [, USUAL_DAYS] = INVITATION_DAYS;
const DAYS = [1, USUAL_DAYS, 31, 100, 365].map(
  (days) => [String(days), say('days', { days })] as const,
);
const ROLE_OPTIONS = PERSON_ROLES.map((role) => [role, roleWords(role)] as const);
const NOBODY = '';

const Ready = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 8px 22px;
  align-items: start;
  max-width: 820px;
  padding: 16px;
  border: 1.5px solid ${colour('rule')};
  background: ${colour('raised')};
  code {
    display: block;
    margin: 8px 0;
    font-size: 15px;
    overflow-wrap: anywhere;
    user-select: all;
  }
`;

/** A link that was made: it is shown this once. */
function Link({ made, onDone }: { made: InvitationReply; onDone: () => void }): ReactElement {
  const { name, role, accountId, until, token = '' } = made;
  const [isCopied, setIsCopied] = useState(false);
  // This machine calls itself by a name that is another's on every other device.
  const origin = isLoopback(window.location.hostname) ? made.address : window.location.origin;
  const address = `${origin ?? ''}/invited#${token}`;
  const isForDevices = role === 'athlete' && accountId === null;
  return (
    <Ready role="status">
      <QRCodeSVG value={address} size={170} title={say('scan')} />
      <div>
        <Heading as="p">{say('linkFor', { name, until: dateWords(until.slice(0, 10)) })}</Heading>
        <Quiet>{say(isForDevices ? 'linkForDevices' : 'linkOnce')}</Quiet>
        {isLoopback(new URL(address).hostname) && <Notice>{say('onlyThisMachine')}</Notice>}
        <code>{address}</code>
        {/* Without a secure page there is none: what is shown can be chosen and copied. */}
        {'clipboard' in navigator && (
          <Button
            onPress={() =>
              void navigator.clipboard.writeText(address).then(() => setIsCopied(true))
            }
          >
            {say(isCopied ? 'copied' : 'copyLink')}
          </Button>
        )}{' '}
        <Button onPress={onDone}>{say('done')}</Button>
      </div>
    </Ready>
  );
}

/** Makes a link for somebody: an invitation, or for a new password. */
export function Invite({ wanted, onDone }: { wanted: Wanted; onDone: () => void }): ReactElement {
  const invite = useInvite();
  const people = usePeople();
  const [name, setName] = useState(wanted.name);
  const [role, setRole] = useState(wanted.role);
  const [athleteIds, setAthleteIds] = useState(wanted.athleteIds);
  const [email, setEmail] = useState('');
  const [days, setDays] = useState(String(USUAL_DAYS));
  if (invite.data) return <Link made={invite.data} onDone={onDone} />;
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
        <Button onPress={onDone}>{say('keepIt')}</Button>
      </div>
    </form>
  );
}
