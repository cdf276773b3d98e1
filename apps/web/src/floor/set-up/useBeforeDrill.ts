import {
  againstKeys,
  beforeDrill,
  type BeforeDrill,
  type GoAhead,
  type Minded,
  type Said,
} from '@orthokin/core/people';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { careRequest, mindedOf } from '../../api/care.js';
import { useClub } from '../../api/club.js';
import { localDay } from '../../device/local-day.js';
import { useOutbox } from '../../device/outbox-context.js';
import { useOwnName } from '../../api/me.js';
import { epochNow } from '../../drill/set-clock.js';
import { say } from '../../words/floor.js';
import type { FloorSetup } from '../plan-drill.js';

/** What stands against a set, with what it was held against, and on which day. */
export interface BeforeSet extends BeforeDrill {
  readonly minded: Minded;
  readonly day: string;
}

/** What stands against an athlete's set on a day: `asked` is the set-up before its floor is scaled. */
export const beforeSet = (
  asked: Pick<FloorSetup, 'care' | 'athlete' | 'pattern' | 'rung'>,
  splits: number,
  day: string,
  went: readonly (GoAhead & Said)[] = [],
): BeforeSet => {
  const { care, athlete, pattern, rung } = asked;
  const read = mindedOf(care, athlete.ageBand, day);
  const minded = { ...read, goAheads: [...read.goAheads, ...went] };
  return {
    ...beforeDrill(minded, { patternId: pattern.id, pattern, rung, day, splits }),
    ...{ minded, day },
  };
};

/** What stands against the set, and the coach's word to go ahead, which is kept and sent. */
export function useBeforeDrill(
  asked: FloorSetup,
  splits: number,
): { readonly before: BeforeSet; readonly goAhead: (reason: string) => void } {
  const { clubId } = useClub();
  const outbox = useOutbox();
  const [coach] = useOwnName();
  // Said here and not read back yet: the network may be gone.
  const [went, setWent] = useState<readonly (GoAhead & Said)[]>([]);
  const now = new Date(epochNow());
  const day = localDay(now);
  // Unpacked, as the set-up is put together anew with every redraw.
  const { care, athlete, pattern, rung } = asked;
  const before = useMemo(
    () => beforeSet({ care, athlete, pattern, rung }, splits, day, went),
    [care, athlete, pattern, rung, splits, day, went],
  );
  const goAhead = (reason: string) => {
    const against = againstKeys(before);
    if (against.length === 0) return;
    const said = { patternId: asked.pattern.id, day, against, reason };
    setWent([...went, { ...said, saidAt: now.getTime() }]);
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
