import type { HeldSessionReply } from '@orthokin/contract';
import { useState, type ReactElement } from 'react';
import { useHoldSession } from '../../api/sessions.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Headline } from '../../parts/Text.js';
import { say } from '../../words/session.js';
import { AfterSession } from '../held/AfterSession.js';
import { minutesBetween } from '../held/minutes-between.js';

/** Ends a session: asks how hard it was, and stores it. */
export function SessionOver({
  session: ended,
  nameOf,
  onBack,
  onKept,
  onDiscard,
}: {
  session: HeldSessionReply;
  nameOf: (athleteId: string) => string;
  onBack: () => void;
  onKept: () => void;
  onDiscard: () => void;
}): ReactElement {
  const [session, setSession] = useState(ended);
  const hold = useHoldSession();
  return (
    <>
      <Headline>
        {say('overHead', { minutes: minutesBetween(session), count: session.attended.length })}
      </Headline>
      <div style={{ display: 'grid', gap: 18, alignContent: 'start', maxWidth: 760 }}>
        <AfterSession {...{ session, nameOf }} onChange={setSession}>
          {hold.error && <Notice>{say('notKept', { why: hold.error.message })}</Notice>}
          <span className="ways">
            <Button
              weight="main"
              isDisabled={hold.isPending}
              onPress={() => hold.mutate(session, { onSuccess: onKept })}
            >
              {say('keep')}
            </Button>
            <Button onPress={onBack}>{say('backToBlock')}</Button>
            <Button onPress={onDiscard}>{say('discard')}</Button>
          </span>
        </AfterSession>
      </div>
    </>
  );
}
