import type { Pattern } from '@orthokin/core/pattern';

/** A pattern as it was left, not saved yet, on this device. */
export interface Draft {
  /** The version it was made from; 0 for a pattern never saved. */
  readonly version: number;
  readonly pattern: Pattern;
}

const keyOf = (patternId: string): string => `orthokin.draft.${patternId}`;

/** The draft of a pattern; `null` when there is none, or none that can be read. */
export function draftOf(patternId: string): Draft | null {
  try {
    const kept = localStorage.getItem(keyOf(patternId));
    return kept === null ? null : (JSON.parse(kept) as Draft);
  } catch {
    return null;
  }
}

/** Keeps a draft. False when this device has no room for it. */
export function keepDraft(patternId: string, draft: Draft): boolean {
  try {
    localStorage.setItem(keyOf(patternId), JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

export function dropDraft(patternId: string): void {
  try {
    localStorage.removeItem(keyOf(patternId));
  } catch {
    // Nothing can be kept here, so nothing was.
  }
}
