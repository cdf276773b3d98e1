import { useSearchParams } from 'react-router';

/** Who else works, in the page's address: what is practised before knows it too. */
export function useRota(): [readonly string[], (athleteIds: readonly string[]) => void] {
  const [params, setParams] = useSearchParams();
  const others = params.get('with')?.split(',').filter(Boolean) ?? [];
  const set = (athleteIds: readonly string[]) => {
    if (athleteIds.length > 0) params.set('with', athleteIds.join(','));
    else params.delete('with');
    setParams(params, { replace: true });
  };
  return [others, set];
}
