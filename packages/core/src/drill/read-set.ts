import type { Cue } from '../cue/index.js';
import { readReps, type RecordedRep, type RepReading } from '../timing/index.js';
import type { Conditions } from './conditions.js';

/** What is needed to read a set's reps. */
export interface SetToRead {
  readonly falseStartMs: number;
  readonly responseLimitMs: number;
  /** Empty if cues were called live. */
  readonly cues: readonly Cue[];
  readonly conditions: Pick<Conditions, 'homeRule'>;
  /** `none` if nobody timed. */
  readonly source: string;
}

/** A set's effective reps, in order, read with the set's settings. */
export const readSet = (
  { falseStartMs, responseLimitMs, cues, conditions, source }: SetToRead,
  recorded: readonly RecordedRep[],
  { splitWindowMs }: { readonly splitWindowMs: readonly [number, number] },
): RepReading[] =>
  readReps(recorded, cues, {
    ...{ falseStartMs, responseLimitMs, splitWindowMs },
    allTheWayHome: conditions.homeRule === 'all the way home',
    isTimed: source !== 'none',
    isFromFilm: source === 'film',
  });
