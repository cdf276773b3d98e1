import type { PrivacyReply, TrailEntryReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { call } from './client.js';
import { useClub } from './club.js';
import { keys } from './keys.js';

/** What the club keeps about people, and for how long. */
export function usePrivacy(): UseQueryResult<PrivacyReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.privacy(clubId),
    queryFn: () => call(ROUTES.privacy, { clubId }),
  });
}

/** Sets for how many years inactive athletes are kept; `null` for no limit. */
export function useKeepFor(): UseMutationResult<PrivacyReply, Error, number | null> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (keepYears) => call(ROUTES.saveKeeping, { clubId }, { body: { keepYears } }),
    onSuccess: (reply) => client.setQueryData(keys.privacy(clubId), reply),
  });
}

/** The trail of accesses to an athlete's private data. */
export function useTrail(athleteId: string): UseQueryResult<TrailEntryReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.trail(clubId, athleteId),
    queryFn: () => call(ROUTES.trail, { clubId, athleteId }),
    // Always refetched, to include the most recent accesses.
    staleTime: 0,
  });
}
