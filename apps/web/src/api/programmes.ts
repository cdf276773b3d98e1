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

/** Programmes of several weeks, latest first. */
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

/** Creates or changes a programme; it shows at once, so that the next change builds on it. */
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
      // A response already under way would not contain this change.
      await client.cancelQueries({ queryKey });
      client.setQueryData<ProgrammeReply[]>(queryKey, (all = []) =>
        all.some(({ id }) => id === programmeId)
          ? all.map((one) => (one.id === programmeId ? { id: programmeId, ...body } : one))
          : [{ id: programmeId, ...body }, ...all],
      );
    },
    // While another change waits the server's reply is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1 ? client.invalidateQueries({ queryKey }) : undefined,
  });
}

/** Deletes a programme; its sessions stay. */
export function useRemoveProgramme(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (programmeId) => call(ROUTES.removeProgramme, { clubId, programmeId }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.programmes(clubId) }),
  });
}
