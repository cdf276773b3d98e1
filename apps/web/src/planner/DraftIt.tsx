import { draftedFrom, type Block, type Stands } from '@orthokin/core/plan';
import { useContext, type ReactElement } from 'react';
import { v7 } from 'uuid';
import { useClub } from '../api/club.js';
import { usePeople } from '../api/people.js';
import { useSessionNotes } from '../api/sessions.js';
import { useSquad } from '../api/squad.js';
import { Button } from '../parts/Button.js';
import { FaultNames } from '../parts/fault-names.js';
import { Quiet } from '../parts/Text.js';
import { faultWords } from '../words/fault.js';
import { draftWords, say } from '../words/plan.js';
import { lastOf } from './last-of.js';

/** Drafts a session from where the athletes stand; Undo brings the previous one back. */
export function DraftIt({
  athleteIds,
  nameOf,
  onDraft,
}: {
  athleteIds: readonly string[];
  nameOf: (athleteId: string) => string;
  onDraft: (blocks: readonly Block[]) => void;
}): ReactElement | null {
  const { faults: own } = useClub();
  const squad = useSquad();
  const people = usePeople();
  const { data: notes } = useSessionNotes();
  const faultName = useContext(FaultNames);
  if (!squad.data || !people.data || !notes) return null;
  const stands = athleteIds.flatMap((athleteId): Stands[] => {
    const line = squad.data.find(({ athlete }) => athlete.id === athleteId);
    if (!line) return [];
    return [
      {
        athleteId,
        answer: line.lastSet?.decision.answer ?? null,
        slowerSide: line.claims.slowerSide,
        watched: people.data.find(({ id }) => id === athleteId)?.watched ?? [],
        seen: lastOf(notes, athleteId).flatMap(({ fault }) => fault ?? []),
      },
    ];
  });
  if (stands.length === 0) return null;
  const draft = () =>
    onDraft(
      draftedFrom(stands, v7).map(({ block, reason }) => ({
        ...block,
        ...draftWords(reason, {
          nameOf,
          faultName,
          mendOf: (fault) => faultWords(fault, own).mend,
        }),
      })),
    );
  return (
    <p style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: '6px 12px' }}>
      <Button onPress={draft}>{say('draft')}</Button>
      <Quiet as="span">{say('draftMeans')}</Quiet>
    </p>
  );
}
