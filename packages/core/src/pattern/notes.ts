import { swapSides } from '../floor/index.js';

/** The positions of a repetition that can be frozen and inspected. */
export const POSITION_NAMES = ['stance', 'split', 'load', 'action', 'recovery'] as const;
export type PositionName = (typeof POSITION_NAMES)[number];

export const MAX_CUE_WORDS = 5;

/** What the coach looks at in a position, and what they say. */
export interface PositionNotes {
  /** At most five words. */
  readonly cue: string;
  readonly checkPoints: readonly string[];
}

export const NO_NOTES: PositionNotes = { cue: '', checkPoints: [] };

export const wordCount = (text: string): number => text.split(/\s+/).filter(Boolean).length;

export const mirrorNotes = ({ cue, checkPoints }: PositionNotes): PositionNotes => ({
  cue: swapSides(cue),
  checkPoints: checkPoints.map(swapSides),
});
