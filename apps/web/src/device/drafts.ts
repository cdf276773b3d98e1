import type { Pattern } from '@orthokin/core/pattern';
import { forget, remember, remembered } from './preferences.js';

/** A pattern as it was left, not saved yet, on this device. */
export interface Draft {
  /** The version it was made from; 0 for a pattern never saved. */
  readonly version: number;
  readonly pattern: Pattern;
}

const nameOf = (patternId: string): string => `draft.${patternId}`;

/** The draft of a pattern; `null` when there is none, or none that can be read. */
export const draftOf = (patternId: string): Draft | null =>
  remembered<Draft | null>(nameOf(patternId), null);

/** Keeps a draft. False when this device has no room for it. */
export const keepDraft = (patternId: string, draft: Draft): boolean =>
  remember(nameOf(patternId), draft);

export const dropDraft = (patternId: string): void => forget(nameOf(patternId));
