import { useAddress } from '../../parts/useAddress.js';

/** Who else works, in the page's address: what is practised before knows it too. */
export function useRota(): [readonly string[], (athleteIds: readonly string[]) => void] {
  const [params, change] = useAddress();
  const others = params.get('with')?.split(',').filter(Boolean) ?? [];
  const set = (athleteIds: readonly string[]) =>
    change({ with: athleteIds.length > 0 ? athleteIds.join(',') : null });
  return [others, set];
}
