import type { GatewaysReply } from '@orthokin/contract';
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

/** Beacon gateways that the club's pages may connect to. */
export function useGateways(): UseQueryResult<GatewaysReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.gateways(clubId),
    queryFn: () => call(ROUTES.gateways, { clubId }),
  });
}

/** Replaces the list; takes effect in pages opened afterwards. */
export function useSaveGateways(): UseMutationResult<GatewaysReply, Error, string[]> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (addresses) => call(ROUTES.saveGateways, { clubId }, { body: { addresses } }),
    onSuccess: (reply) => client.setQueryData(keys.gateways(clubId), reply),
  });
}
