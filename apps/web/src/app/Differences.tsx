import type { ReactElement } from 'react';
import { differing, overtaken, useNews } from '../api/news.js';
import { useSquad } from '../api/squad.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { PageEdge } from '../parts/Text.js';
import { say } from '../words/app.js';
import { headline } from '../words/decision.js';

/** Decisions made offline on this device, and what differs on the server. */
export function Differences(): ReactElement {
  const moves = useNews(differing);
  const athletes = useNews(overtaken);
  const squad = useSquad();
  const nameOf = (athleteId: string): string =>
    squad.data?.find(({ athlete }) => athlete.id === athleteId)?.athlete.name ?? say('somebody');
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      {athletes.map(({ id: athleteId }) => (
        <Notice
          key={athleteId}
          action={<ButtonLink to={`/people/${athleteId}/details`}>{say('lookAtBoth')}</ButtonLink>}
        >
          {say('overtakenAthlete', { athlete: nameOf(athleteId) })}
        </Notice>
      ))}
      {moves.map(({ id, item: { athleteId, patternId, fromRung, toRung, decision } }) => (
        <Notice
          key={id}
          action={
            <>
              <ButtonLink to={`/ladder/${patternId}/${athleteId}`}>{say('openLadder')}</ButtonLink>
              <Button onPress={() => differing.seen(id)}>{say('seen')}</Button>
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
