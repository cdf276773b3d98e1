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

/** What a club keeps of people, and for how long. */
export function usePrivacy(): UseQueryResult<PrivacyReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.privacy(clubId),
    queryFn: () => call(ROUTES.privacy, { clubId }),
  });
}

/** Says for how many years those are kept who do not train any more; `null` for without a reminder. */
export function useKeepFor(): UseMutationResult<PrivacyReply, Error, number | null> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (keepYears) => call(ROUTES.saveKeeping, { clubId }, { body: { keepYears } }),
    onSuccess: (reply) => client.setQueryData(keys.privacy(clubId), reply),
  });
}

/** Who saw and changed what is private of an athlete. */
export function useTrail(athleteId: string): UseQueryResult<TrailEntryReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.trail(clubId, athleteId),
    queryFn: () => call(ROUTES.trail, { clubId, athleteId }),
    // Whoever looks wants to know who has looked until now.
    staleTime: 0,
  });
}
