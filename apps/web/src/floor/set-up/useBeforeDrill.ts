import type { GoAheadBody } from '@orthokin/contract';
import { againstKeys, beforeDrill, type BeforeDrill } from '@orthokin/core/people';
import { useState } from 'react';
import { v7 } from 'uuid';
import { careRequest, mindedOf } from '../../api/care.js';
import { useClub } from '../../api/club.js';
import { localDay } from '../../device/local-day.js';
import { useOutbox } from '../../device/outbox-context.js';
import { useRemembered } from '../../device/useRemembered.js';
import { epochNow } from '../../drill/set-clock.js';
import { say } from '../../words/floor.js';
import type { FloorSetup } from './plan-drill.js';

/** What stands against an athlete's set on a day: `asked` is the set-up before its floor is scaled. */
export const beforeSet = (
  asked: FloorSetup,
  splits: number,
  day: string,
  went: readonly GoAheadBody[] = [],
): BeforeDrill => {
  const { care, athlete, pattern, rung } = asked;
  const minded = mindedOf(care, athlete.ageBand, day);
  return beforeDrill(
    { ...minded, goAheads: [...minded.goAheads, ...went] },
    { patternId: pattern.id, pattern, rung, day, splits },
  );
};

/** What stands against the set, and the coach's word to go ahead, which is kept and sent. */
export function useBeforeDrill(
  asked: FloorSetup,
  splits: number,
): { readonly before: BeforeDrill; readonly goAhead: (reason: string) => void } {
  const { clubId } = useClub();
  const outbox = useOutbox();
  const [coach] = useRemembered('coach-name', '');
  // Said here and not read back yet: the network may be gone.
  const [went, setWent] = useState<readonly GoAheadBody[]>([]);
  const now = new Date(epochNow());
  const day = localDay(now);
  const before = beforeSet(asked, splits, day, went);
  const goAhead = (reason: string) => {
    const against = againstKeys(before);
    if (against.length === 0) return;
    const said = { patternId: asked.pattern.id, day, against, reason };
    setWent([...went, said]);
    void outbox.queue(
      careRequest(clubId, {
        careId: v7(),
        body: {
          ...{ athleteId: asked.athlete.id, kind: 'go-ahead', goAhead: said },
          ...{ by: coach || say('coach'), at: now.toISOString() },
        },
      }),
    );
  };
  return { before, goAhead };
}
