import { swapSides } from '../floor/index.js';

/** The positions of a repetition that can be frozen and inspected. */
export const POSITION_NAMES = ['stance', 'split', 'load', 'action', 'recovery'] as const;
export type PositionName = (typeof POSITION_NAMES)[number];

/** Longer cues are not heard on the floor. */
export const MAX_CUE_WORDS = 5;

/** Check points of a position, and the cue to say. */
export interface PositionNotes {
  /** At most five words. */
  readonly cue: string;
  readonly checkPoints: readonly string[];
}

/** Nothing written yet. */
export const NO_NOTES: PositionNotes = { cue: '', checkPoints: [] };

/** How many words a text has. */
export const wordCount = (text: string): number => text.split(/\s+/).filter(Boolean).length;

/** Notes for the other side, with left and right exchanged. */
export const mirrorNotes = ({ cue, checkPoints }: PositionNotes): PositionNotes => ({
  cue: swapSides(cue),
  checkPoints: checkPoints.map(swapSides),
});
