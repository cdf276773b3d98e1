import { useLibrary } from '../../api/patterns.js';
import { useSquad } from '../../api/squad.js';
import { remembered } from '../../device/preferences.js';

/** Key of the ladder that was looked at last. */
export const LAST_LADDER = 'ladder-pattern';

/** The ladder to open: the one looked at last, or else the one most of the squad is on. */
export function useUsualLadder(): { readonly patternId: string | null; readonly isReady: boolean } {
  const squad = useSquad();
  const library = useLibrary();
  const known = new Set((library.data ?? []).map(({ id }) => id));
  const last = remembered<string | null>(LAST_LADDER, null);
  if (last !== null && known.has(last)) return { patternId: last, isReady: true };
  const counts = new Map<string, number>();
  for (const { patternId } of squad.data ?? [])
    counts.set(patternId, (counts.get(patternId) ?? 0) + 1);
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  const isReady = squad.data !== undefined && library.data !== undefined;
  return { patternId: isReady ? (most?.[0] ?? library.data[0]?.id ?? null) : null, isReady };
}
