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

/** What speaks against a set, with the restrictions and the day this was checked for. */
export interface BeforeSet extends BeforeDrill {
  readonly minded: Minded;
  readonly day: string;
}

/**
 * What speaks against an athlete's set on a day.
 * @param asked the set-up before its floor is scaled
 */
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

/** What speaks against the set, and recording the coach's go-ahead. */
export function useBeforeDrill(
  asked: FloorSetup,
  splits: number,
): { readonly before: BeforeSet; readonly goAhead: (reason: string) => void } {
  const { clubId } = useClub();
  const outbox = useOutbox();
  const [coach] = useOwnName();
  // Given here and not loaded back yet, perhaps because there is no network.
  const [went, setWent] = useState<readonly (GoAhead & Said)[]>([]);
  const now = new Date(epochNow());
  const day = localDay(now);
  // Destructured, because the set-up is a new object on every render.
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
