import type { GroupReply } from '@orthokin/contract';
import { LONGEST_NAME } from '@orthokin/core/people';
import { Plus, Split } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useGroups, useRemoveGroup, useSaveGroups } from '../../api/groups.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField, TextField } from '../../parts/form/TextField.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { say } from '../../words/people.js';
import { dropped } from '../../parts/dropped.js';
import { MemberList } from './MemberList.js';
import { useMembers } from './useMembers.js';

const Squads = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(310px, 1fr));
  gap: 28px 32px;
  align-items: start;
  margin-top: 22px;
  section {
    display: grid;
    gap: 10px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
`;

const NewOne = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px;
  margin-top: 16px;
  > div {
    flex: 0 1 300px;
  }
`;

const NOBODY = '';

/** The squads of the club: who is in each, in the coach's own order. */
export function SquadsPage(): ReactElement {
  const groups = useGroups();
  const members = useMembers();
  const save = useSaveGroups();
  const remove = useRemoveGroup();
  const [name, setName] = useState('');
  const [removed, setRemoved] = useState<GroupReply | null>(null);
  const error = groups.error ?? members.error;
  if (!groups.data || !members.isReady)
    return (
      <Page name={say('squads')}>
        {error ? (
          <Failed error={error} again={() => void groups.refetch()} />
        ) : (
          <Quiet>{say('readingPeople')}</Quiet>
        )}
      </Page>
    );
  const keep = ({ id, ...body }: GroupReply) => save.mutate([{ groupId: id, body }]);
  const failed = save.error ?? remove.error;
  return (
    <Page name={say('squads')}>
      <Quiet>
        <Link to="/people">{say('backToPeople')}</Link>
      </Quiet>
      <Headline style={{ marginTop: 4 }}>
        {say('squadsOfClub', { count: groups.data.length })}
      </Headline>
      <Quiet style={{ marginTop: 8, maxWidth: '66ch' }}>{say('squadsMean')}</Quiet>
      <NewOne>
        <OpenField
          label={say('newSquad')}
          value={name}
          maxLength={LONGEST_NAME}
          onChange={setName}
        />
        <Button
          isDisabled={name.trim() === ''}
          onPress={() => {
            keep({ id: v7(), name: name.trim(), athleteIds: [] });
            setName('');
          }}
        >
          <Plus size={18} aria-hidden /> {say('makeSquad')}
        </Button>
      </NewOne>
      {failed && <Notice>{failed.message}</Notice>}
      {removed && (
        <Quiet role="status" style={{ marginTop: 12 }}>
          {say('squadGone', { name: removed.name })}{' '}
          <Button
            onPress={() => {
              keep(removed);
              setRemoved(null);
            }}
          >
            {say('putBack')}
          </Button>
        </Quiet>
      )}
      <Squads>
        {groups.data.map((group) => (
          <section key={group.id} aria-label={group.name}>
            <TextField
              label={say('squadName')}
              value={group.name}
              maxLength={LONGEST_NAME}
              required
              onChange={(changed) => keep({ ...group, name: changed })}
            />
            <MemberList
              label={group.name}
              members={group.athleteIds
                .filter((id) => members.everyone.includes(id))
                .map(members.member)}
              empty={<Quiet>{say('nobodyInSquad')}</Quiet>}
              onDrop={(drop) => keep({ ...group, athleteIds: dropped(group.athleteIds, drop) })}
              onRemove={(id) =>
                keep({ ...group, athleteIds: group.athleteIds.filter((one) => one !== id) })
              }
            />
            <SelectField
              label={say('addToSquad', { name: group.name })}
              hideLabel
              value={NOBODY}
              options={[
                [NOBODY, say('addSomebody')] as const,
                ...members.everyone
                  .filter((id) => !group.athleteIds.includes(id))
                  .map((id) => [id, members.member(id).name] as const),
              ]}
              onChange={(id) => keep({ ...group, athleteIds: [...group.athleteIds, id] })}
            />
            <div className="ways">
              {group.athleteIds.length > 1 && (
                <ButtonLink to={`/people/squads/${group.id}/split`}>
                  <Split size={18} aria-hidden /> {say('split')}
                </ButtonLink>
              )}
              <Button
                aria-label={say('takeSquadAway', { name: group.name })}
                onPress={() => remove.mutate(group.id, { onSuccess: () => setRemoved(group) })}
              >
                {say('takeAway')}
              </Button>
            </div>
          </section>
        ))}
      </Squads>
    </Page>
  );
}
