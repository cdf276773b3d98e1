import {
  betterRep,
  cueInRecording,
  frameAt,
  mirrorRep,
  NOTHING_MARKED,
  type Alignment,
  type Marks,
} from '@orthokin/core/film';
import type { Pattern } from '@orthokin/core/pattern';
import { useEffect, useState } from 'react';
import type { CalledRep } from '../mark/marks.js';
import { positionsSeen, STILL_HEIGHT, type SeenPosition } from './seen-positions.js';
import type { Film } from '../read/useFilm.js';

/**
 * What a rep's positions are compared with: a rep to the same target that was home sooner, or one to the other side.
 */
export const BESIDES = ['better', 'mirror'] as const;
export type Beside = (typeof BESIDES)[number];

/** A rep's visible positions, and those they are compared with. */
export interface SeenPositions {
  readonly seen: readonly SeenPosition[];
  readonly beside: {
    readonly of: Beside;
    readonly ordinal: number;
    readonly seen: readonly SeenPosition[];
  } | null;
  readonly wanted: Beside;
  readonly want: (beside: Beside) => void;
}

/** Finds the visible positions, and requests their pictures when they change. */
export function useSeenPositions(
  rep: CalledRep | undefined,
  reps: readonly CalledRep[],
  marks: Marks,
  framesMs: readonly number[],
  alignment: Alignment | null,
  pattern: Pattern,
  ask: Film['ask'],
): SeenPositions {
  const [wanted, want] = useState<Beside>('better');
  const ownOf = ({ ordinal }: CalledRep) => marks[ordinal] ?? NOTHING_MARKED;
  const seenIn = (one: CalledRep | null | undefined) =>
    one && alignment
      ? positionsSeen(
          ownOf(one),
          ownOf(one).frames.cue ?? frameAt(framesMs, cueInRecording(one, alignment)),
        )
      : [];
  const other =
    rep && alignment
      ? wanted === 'better'
        ? betterRep(reps, marks, framesMs, alignment, rep)
        : mirrorRep(reps, marks, pattern, rep)
      : null;
  const [seen, seenOther] = [seenIn(rep), seenIn(other)];
  const seenAt = [...seen, ...seenOther].map(({ frame }) => frame).join(' ');
  useEffect(() => {
    const indices = seenAt.split(' ').map(Number);
    if (indices.length > 1)
      ask({ ...{ ask: 'pictures', of: 'positions' }, indices, heightPx: STILL_HEIGHT });
  }, [ask, seenAt]);
  return {
    ...{ seen, wanted, want },
    beside: other ? { of: wanted, ordinal: other.ordinal, seen: seenOther } : null,
  };
}
