import type { Pattern } from '@orthokin/core/pattern';
import { forget, remember, remembered } from './preferences.js';

/** An unsaved pattern, stored on this device. */
export interface Draft {
  /** The version it is based on; 0 for a new pattern. */
  readonly version: number;
  readonly pattern: Pattern;
}

const nameOf = (patternId: string): string => `draft.${patternId}`;

/** A pattern's draft; `null` if there is none, or it cannot be read. */
export const draftOf = (patternId: string): Draft | null =>
  remembered<Draft | null>(nameOf(patternId), null);

/**
 * Stores a draft.
 * @returns whether this device had room for it
 */
export const keepDraft = (patternId: string, draft: Draft): boolean =>
  remember(nameOf(patternId), draft);

export const dropDraft = (patternId: string): void => forget(nameOf(patternId));
