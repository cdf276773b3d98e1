import {
  LONGEST_NAME,
  MOST_PARTS,
  partOf,
  splitGroup,
  type Part,
  type SplitKind,
} from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useGroups, useSaveGroups } from '../../api/groups.js';
import { Button } from '../../parts/Button.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { percent, secondsWithUnit } from '../../words/format.js';
import { say } from '../../words/people.js';
import { dropped, type Drop } from '../../parts/dropped.js';
import { MemberList } from './MemberList.js';
import { useMembers } from './useMembers.js';

const Choices = styled.div`
  display: grid;
  grid-template-columns: 130px 220px;
  gap: 14px;
  margin: 16px 0;
`;

const Parts = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 22px;
  align-items: start;
  margin-bottom: 22px;
`;

const KINDS = [
  ['graded', say('splitGraded')] as const,
  ['even', say('splitEven')] as const,
] satisfies readonly (readonly [SplitKind, string])[];

/** What a part is like, in words. */
function partWords({ ids, shares: [least, most], meanMs }: Part): string {
  if (ids.length === 0) return say('nobodyInSquad');
  return say('partIs', {
    count: ids.length,
    range:
      least === most
        ? percent(least)
        : say('rangeOf', { least: percent(least), most: percent(most) }),
    cycle: meanMs === null ? '' : say('partCycle', { cycle: secondsWithUnit(meanMs) }),
  });
}

/** Suggests even or graded parts of a squad, which can be changed by dragging before saving. */
export function SplitPage(): ReactElement {
  const { groupId = '' } = useParams();
  const navigate = useNavigate();
  const groups = useGroups();
  const members = useMembers();
  const save = useSaveGroups();
  const [parts, setParts] = useState(2);
  const [kind, setKind] = useState<SplitKind>('graded');
  const [changed, setChanged] = useState<readonly (readonly string[])[] | null>(null);
  const group = groups.data?.find(({ id }) => id === groupId);
  const error = groups.error ?? members.error;
  if (!group || !members.isReady)
    return (
      <Page name={say('split')}>
        {error ? (
          <Failed error={error} again={() => void groups.refetch()} />
        ) : (
          <Quiet>{groups.data && !group ? say('noSuchSquad') : say('readingPeople')}</Quiet>
        )}
      </Page>
    );
  const inSquad = group.athleteIds.filter((id) => members.everyone.includes(id));
  const suggested = splitGroup(inSquad.map(members.level), parts, kind).map(({ ids }) => ids);
  const shown = changed ?? suggested;
  const move = (to: number, drop: Drop) =>
    setChanged(
      shown.map((ids, i) =>
        i === to ? dropped(ids, drop) : ids.filter((id) => !drop.ids.includes(id)),
      ),
    );
  const nameOf = (i: number) => {
    const end = ` ${i + 1}`;
    return `${group.name.slice(0, LONGEST_NAME - end.length)}${end}`;
  };
  const keep = () =>
    save.mutate(
      shown.map((ids, i) => ({
        // A part whose name exists already replaces that squad.
        groupId: groups.data?.find(({ name }) => name === nameOf(i))?.id ?? v7(),
        body: { name: nameOf(i), athleteIds: [...ids] },
      })),
      { onSuccess: () => void navigate('/people/squads') },
    );
  return (
    <Page name={say('splitOf', { name: group.name })}>
      <Quiet>
        <Link to="/people/squads">{say('backToSquads')}</Link>
      </Quiet>
      <Headline style={{ marginTop: 4 }}>{say('splitOf', { name: group.name })}</Headline>
      <Choices>
        <CountField
          label={say('howManyParts')}
          value={parts}
          min={1}
          max={MOST_PARTS}
          onChange={(count) => {
            setParts(count);
            setChanged(null);
          }}
        />
        <SelectField
          label={say('splitHow')}
          value={kind}
          options={KINDS}
          onChange={(chosen) => {
            setKind(chosen);
            setChanged(null);
          }}
        />
      </Choices>
      <Quiet style={{ maxWidth: '70ch', marginBottom: 16 }}>
        {say(kind === 'graded' ? 'gradedMeans' : 'evenMeans')} {say('dragToChange')}
      </Quiet>
      <Parts>
        {shown.map((ids, i) => (
          // Parts have no ids; their index identifies them.
          <section key={i} aria-label={nameOf(i)}>
            <Heading>{nameOf(i)}</Heading>
            <Quiet style={{ marginBottom: 8 }}>{partWords(partOf(ids.map(members.level)))}</Quiet>
            <MemberList
              label={nameOf(i)}
              members={ids.map(members.member)}
              empty={<Quiet>{say('nobodyInSquad')}</Quiet>}
              onDrop={(drop) => move(i, drop)}
            />
          </section>
        ))}
      </Parts>
      {save.error && <Notice>{save.error.message}</Notice>}
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        <Button weight="main" isDisabled={save.isPending} onPress={keep}>
          {say('keepSplit')}
        </Button>
        {changed && <Button onPress={() => setChanged(null)}>{say('asSuggested')}</Button>}
      </p>
    </Page>
  );
}
