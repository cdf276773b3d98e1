import type { Pattern } from '@orthokin/core/pattern';
import { usePattern } from '../../club/queries.js';
import { draftOf } from '../../log/draft.js';

/** The pattern as it was left on this device, else as it was saved: what is on the screen is printed. */
export function usePrintable(patternId: string): { pattern: Pattern | null; isPending: boolean } {
  const loaded = usePattern(patternId);
  const pattern = draftOf(patternId)?.pattern ?? loaded.data ?? null;
  return { pattern, isPending: loaded.isPending };
}
