import type { Cue } from '../cue/index.js';
import { readReps, type RecordedRep, type RepReading } from '../timing/index.js';
import type { Conditions } from './conditions.js';

/** What a set's reps are read with, as it was settled when the set began. */
export interface SetToRead {
  readonly falseStartMs: number;
  readonly responseLimitMs: number;
  /** Empty of a set called live. */
  readonly cues: readonly Cue[];
  readonly conditions: Pick<Conditions, 'homeRule'>;
  /** `none` for a set that nobody timed. */
  readonly source: string;
}

/** The reps of a set that stand, in order, read with the settings it was run with. */
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
