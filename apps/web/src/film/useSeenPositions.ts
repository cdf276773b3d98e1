import {
  betterRep,
  cueInRecording,
  frameAt,
  NOTHING_MARKED,
  type Alignment,
  type Marks,
} from '@orthokin/core/film';
import { useEffect } from 'react';
import type { CalledRep } from './marks.js';
import { positionsSeen, STILL_HEIGHT, type SeenPosition } from './Positions.js';
import type { Film } from './read/useFilm.js';

/** Positions of a rep that can be seen, and those of a rep to the same target that was home sooner. */
export interface SeenPositions {
  readonly seen: readonly SeenPosition[];
  readonly better: { readonly ordinal: number; readonly seen: readonly SeenPosition[] } | null;
}

/** Which positions are seen; their pictures are asked for as they change. */
export function useSeenPositions(
  rep: CalledRep | undefined,
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment | null,
  ask: Film['ask'],
): SeenPositions {
  const seenIn = (one: CalledRep | null | undefined) =>
    one && alignment
      ? positionsSeen(
          marks[one.ordinal] ?? NOTHING_MARKED,
          frameAt(framesMs, cueInRecording(one, alignment)),
        )
      : [];
  const sooner = rep && alignment && betterRep(reps, marks, framesMs, alignment, rep);
  const [seen, seenSooner] = [seenIn(rep), seenIn(sooner)];
  const seenAt = [...seen, ...seenSooner].map(({ frame }) => frame).join(' ');
  useEffect(() => {
    const indices = seenAt.split(' ').map(Number);
    if (indices.length > 1)
      ask({ ...{ ask: 'pictures', of: 'positions' }, indices, heightPx: STILL_HEIGHT });
  }, [ask, seenAt]);
  return { seen, better: sooner ? { ordinal: sooner.ordinal, seen: seenSooner } : null };
}
