import type { Pattern } from '@orthokin/core/pattern';
import { usePattern } from '../../api/patterns.js';
import { draftOf } from '../../device/drafts.js';

/** The pattern as left on this device, or else as saved, so that what was on the screen is printed. */
export function usePrintable(patternId: string): { pattern: Pattern | null; isPending: boolean } {
  const loaded = usePattern(patternId);
  const pattern = draftOf(patternId)?.pattern ?? loaded.data ?? null;
  return { pattern, isPending: loaded.isPending };
}
