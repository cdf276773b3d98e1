import type { DecisionReply } from '@orthokin/contract';
import { useSyncExternalStore, type ReactElement } from 'react';
import { useSquad } from '../api/squad.js';
import {
  differences,
  differenceSeen,
  onDifferences,
  type Difference,
} from '../device/differences.js';
import { onOvertaken, overtakenAthletes } from '../device/overtaken.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { PageEdge } from '../parts/Text.js';
import { say } from '../words/app.js';
import { headline } from '../words/decision.js';

type Told = Difference<DecisionReply>;

/** What was done on this device alone, and what others have done or the server knows besides. */
export function Differences(): ReactElement {
  const all = useSyncExternalStore(onDifferences, differences) as readonly Told[];
  const overtaken = useSyncExternalStore(onOvertaken, overtakenAthletes);
  const squad = useSquad();
  const nameOf = (athleteId: string): string =>
    squad.data?.find(({ athlete }) => athlete.id === athleteId)?.athlete.name ?? say('somebody');
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      {overtaken.map((athleteId) => (
        <Notice
          key={athleteId}
          action={<ButtonLink to={`/people/${athleteId}/details`}>{say('lookAtBoth')}</ButtonLink>}
        >
          {say('overtakenAthlete', { athlete: nameOf(athleteId) })}
        </Notice>
      ))}
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
