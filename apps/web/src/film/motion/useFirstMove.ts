import {
  AWAY_MS,
  FIRST_MOVE_WINDOW,
  firstMoveSpan,
  frameAt,
  framesThrough,
  inRecording,
  middleOfMoved,
  onSetClock,
  stillBackground,
  type Alignment,
  type Grey,
  type PlaceSeen,
  type Span,
} from '@orthokin/core/film';
import { useState } from 'react';
import type { CalledRep } from '../mark/marks.js';
import type { Film } from '../read/useFilm.js';
import { greyAt } from './grey.js';

/** Of a high-speed film not every frame is compared. */
const MOST_FRAMES = 90;
const MOST_BACKGROUND = 7;

/** A suggested first move: `looking`, `nobody` left home, or a span, ms from the cue. */
export type Suggested = 'looking' | 'nobody' | Span;

/** Suggests where a rep's first move may be; it marks nothing. */
export interface FirstMoveWork {
  /** For the current rep. */
  readonly suggested: Suggested | null;
  readonly suggest: () => void;
}

/** Compares the pictures around a rep's cue. */
export function useFirstMove(
  film: Film,
  framesMs: readonly number[],
  reps: readonly CalledRep[],
  place: number,
  tieOf: (rep: CalledRep) => Alignment | null,
  onFound: (frame: number) => void,
): FirstMoveWork {
  const [byOrdinal, setByOrdinal] = useState<Readonly<Record<number, Suggested>>>({});
  const rep = reps[place];
  const spanOf = async (one: CalledRep, tie: Alignment): Promise<Span | null> => {
    const background: Grey[] = [];
    for (const other of reps
      .filter((each) => each === one || each.target !== one.target)
      .slice(0, MOST_BACKGROUND)) {
      const own = tieOf(other);
      const grey =
        own && (await greyAt(film, frameAt(framesMs, inRecording(own, other.cue.atMs + AWAY_MS))));
      if (grey) background.push(grey);
    }
    const still = stillBackground(background);
    if (!still) return null;
    const at = (ms: number) => inRecording(tie, one.cue.atMs + ms);
    const { fromMs, toMs } = FIRST_MOVE_WINDOW;
    const seen: PlaceSeen[] = [];
    for (const frame of framesThrough(framesMs, at(fromMs), at(toMs), MOST_FRAMES)) {
      const grey = await greyAt(film, frame);
      const middle = grey && middleOfMoved(grey, still);
      if (middle)
        seen.push({ ms: onSetClock(tie, framesMs[frame] ?? 0) - one.cue.atMs, at: middle });
    }
    return firstMoveSpan(seen);
  };
  const suggest = async (one: CalledRep, tie: Alignment) => {
    const put = (suggested: Suggested) =>
      setByOrdinal((now) => ({ ...now, [one.ordinal]: suggested }));
    put('looking');
    const span = await spanOf(one, tie).catch(() => null);
    put(span ?? 'nobody');
    if (span) onFound(frameAt(framesMs, inRecording(tie, one.cue.atMs + span.fromMs)));
  };
  return {
    suggested: (rep && byOrdinal[rep.ordinal]) ?? null,
    suggest: () => {
      const tie = rep && tieOf(rep);
      if (tie) void suggest(rep, tie);
    },
  };
}
