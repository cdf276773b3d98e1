import type { DecisionReply } from '@orthokin/contract';
import { useSyncExternalStore, type ReactElement } from 'react';
import { useSquad } from '../api/squad.js';
import {
  differences,
  differenceSeen,
  onDifferences,
  type Difference,
} from '../device/differences.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { PageEdge } from '../parts/Text.js';
import { say } from '../words/app.js';
import { headline } from '../words/decision.js';

type Told = Difference<DecisionReply>;

/** Moves that this device made alone and of which the server, which knows more, says otherwise. */
export function Differences(): ReactElement {
  const all = useSyncExternalStore(onDifferences, differences) as readonly Told[];
  const squad = useSquad();
  const nameOf = (athleteId: string): string =>
    squad.data?.find(({ athlete }) => athlete.id === athleteId)?.athlete.name ?? say('somebody');
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      {all.map(({ moveId, athleteId, patternId, fromRung, toRung, decision }) => (
        <Notice
          key={moveId}
          action={
            <>
              <ButtonLink to={`/ladder/${patternId}/${athleteId}`}>{say('openLadder')}</ButtonLink>
              <Button onPress={() => differenceSeen(moveId)}>{say('seen')}</Button>
            </>
          }
        >
          {say('differs', {
            ...{ athlete: nameOf(athleteId), fromRung, toRung },
            headline: headline(decision, fromRung),
          })}
        </Notice>
      ))}
    </PageEdge>
  );
}
