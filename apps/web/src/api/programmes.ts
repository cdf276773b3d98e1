import type { ProgrammeBody, ProgrammeReply } from '@orthokin/contract';
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
import { useMay } from './me.js';

/** Training over weeks that is planned, the latest first. */
export function useProgrammes(): UseQueryResult<ProgrammeReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.programmes(clubId),
    queryFn: () => call(ROUTES.programmes, { clubId }),
    enabled: useMay(ROUTES.programmes),
  });
}

interface Saved {
  readonly programmeId: string;
  readonly body: ProgrammeBody;
}

/** Plans weeks, or changes them; they stand here at once, the next change is made on top of them. */
export function useSaveProgramme(): UseMutationResult<ProgrammeReply, Error, Saved> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const queryKey = keys.programmes(clubId);
  const mutationKey = ['save programme', clubId];
  return useMutation({
    mutationKey,
    scope: { id: mutationKey.join(' ') },
    mutationFn: ({ programmeId, body }) =>
      call(ROUTES.saveProgramme, { clubId, programmeId }, { body }),
    onMutate: async ({ programmeId, body }) => {
      // A reading begun before this change would not have it.
      await client.cancelQueries({ queryKey });
      client.setQueryData<ProgrammeReply[]>(queryKey, (all = []) =>
        all.some(({ id }) => id === programmeId)
          ? all.map((one) => (one.id === programmeId ? { id: programmeId, ...body } : one))
          : [{ id: programmeId, ...body }, ...all],
      );
    },
    // While another change waits, what the server says is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1 ? client.invalidateQueries({ queryKey }) : undefined,
  });
}

/** Takes a programme away; its sessions stay. */
export function useRemoveProgramme(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (programmeId) => call(ROUTES.removeProgramme, { clubId, programmeId }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.programmes(clubId) }),
  });
}
