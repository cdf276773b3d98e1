import type { Pattern } from '@orthokin/core/pattern';
import { usePattern } from '../../api/patterns.js';
import { draftOf } from '../../device/drafts.js';

/** The pattern as it was left on this device, else as it was saved: what is on the screen is printed. */
export function usePrintable(patternId: string): { pattern: Pattern | null; isPending: boolean } {
  const loaded = usePattern(patternId);
  const pattern = draftOf(patternId)?.pattern ?? loaded.data ?? null;
  return { pattern, isPending: loaded.isPending };
}
