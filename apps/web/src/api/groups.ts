import type { GroupBody, GroupReply } from '@orthokin/contract';
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

/** The club's squads, by name. */
export function useGroups(): UseQueryResult<GroupReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.groups(clubId),
    queryFn: () => call(ROUTES.groups, { clubId }),
  });
}

interface Saved {
  readonly groupId: string;
  readonly body: GroupBody;
}

/** Creates or changes squads. */
export function useSaveGroups(): UseMutationResult<GroupReply[], Error, readonly Saved[]> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (groups) =>
      Promise.all(
        groups.map(({ groupId, body }) => call(ROUTES.saveGroup, { clubId, groupId }, { body })),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.groups(clubId) }),
  });
}

/** Deletes a squad; its athletes stay. */
export function useRemoveGroup(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (groupId) => call(ROUTES.removeGroup, { clubId, groupId }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.groups(clubId) }),
  });
}
