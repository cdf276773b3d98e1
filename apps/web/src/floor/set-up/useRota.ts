import { useAddress } from '../../parts/useAddress.js';

/** Whether the others run the pattern of the first, each on their own rung, or what they work on themselves. */
export function useSharedPattern(): [boolean, (isShared: boolean) => void] {
  const [params, change] = useAddress();
  return [params.has('same'), (isShared) => change({ same: isShared ? '1' : null })];
}

/** Who else works, in the page's address: what is practised before knows it too. */
export function useRota(): [readonly string[], (athleteIds: readonly string[]) => void] {
  const [params, change] = useAddress();
  const others = params.get('with')?.split(',').filter(Boolean) ?? [];
  const set = (athleteIds: readonly string[]) =>
    change({ with: athleteIds.length > 0 ? athleteIds.join(',') : null });
  return [others, set];
}
