import { useAddress } from '../../parts/useAddress.js';

/** Whether the others in a rota run the first athlete's pattern, each on their own rung, or their own patterns. */
export function useSharedPattern(): [boolean, (isShared: boolean) => void] {
  const [params, change] = useAddress();
  return [params.has('same'), (isShared) => change({ same: isShared ? '1' : null })];
}

/** Who else works, kept in the address, so that preparations know it as well. */
export function useRota(): [readonly string[], (athleteIds: readonly string[]) => void] {
  const [params, change] = useAddress();
  const others = params.get('with')?.split(',').filter(Boolean) ?? [];
  const set = (athleteIds: readonly string[]) =>
    change({ with: athleteIds.length > 0 ? athleteIds.join(',') : null });
  return [others, set];
}
