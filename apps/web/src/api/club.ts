import type { ClubBody, ClubReply, UnreadableReply } from '@orthokin/contract';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { call } from './client.js';
import { keys } from './keys.js';

/** The open club and how to open another; remembered on this device. */
export const ChosenClub = createContext<{
  readonly clubId: string | null;
  readonly open: (clubId: string) => void;
}>({ clubId: null, open: () => undefined });

/** The open club; the frame loads it before any page is shown. */
export const ClubContext = createContext<ClubReply | null>(null);

export function useClub(): ClubReply {
  const club = useContext(ClubContext);
  if (!club) throw new Error('useClub needs a ClubContext above it.');
  return club;
}

export const useClubs = (): UseQueryResult<ClubReply[]> =>
  useQuery({ queryKey: keys.clubs, queryFn: () => call(ROUTES.clubs, {}) });

/** Imports a club from its file; works without an open club. */
export function useBringClub(): UseMutationResult<ClubReply, Error, Blob> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) => call(ROUTES.bringClub, {}, { body }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Changes the open club. */
export function useSaveClub(): UseMutationResult<ClubReply, Error, ClubBody> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const mutationKey = ['save club', clubId];
  return useMutation({
    mutationKey,
    // One after another: each request contains the whole club, so the last must arrive last.
    scope: { id: mutationKey.join(' ') },
    mutationFn: (body) => call(ROUTES.saveClub, { clubId }, { body }),
    // Applied at once, so that the next change builds on this one before there is a reply.
    onMutate: async ({ name, sport, unit, faults }) => {
      // A response already under way would undo the change.
      await client.cancelQueries({ queryKey: keys.clubs });
      client.setQueryData<ClubReply[]>(keys.clubs, (clubs) =>
        clubs?.map((club) =>
          club.clubId === clubId
            ? {
                ...{ clubId, name, sport: sport ?? '', unit: unit ?? 'metres' },
                faults: faults ?? club.faults,
              }
            : club,
        ),
      );
    },
    // While another change waits the server's reply is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1
        ? client.invalidateQueries({ queryKey: keys.clubs })
        : undefined,
  });
}

/** Deletes the demo club, whichever club is open. */
export function useThrowDemoAway(): UseMutationResult<unknown, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name) => call(ROUTES.wipeClub, { clubId: DEMO_CLUB_ID }, { body: { name } }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Restores the demo club. */
export function useBringDemo(): UseMutationResult<ClubReply, Error, void> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => call(ROUTES.bringDemo, {}),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.clubs }),
  });
}

/** Stored rows of the club that cannot be read. */
export function useUnreadable(): UseQueryResult<UnreadableReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['unreadable', clubId],
    queryFn: () => call(ROUTES.unreadable, { clubId }),
  });
}

/** Deletes an unreadable row for good. */
export function useTakeOut(): UseMutationResult<unknown, Error, UnreadableReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ kind, id, version }) =>
      kind === 'set'
        ? call(ROUTES.takeOutSet, { clubId, setId: id })
        : kind === 'care'
          ? call(ROUTES.takeOutCare, { clubId, careId: id })
          : call(ROUTES.takeOutVersion, { clubId, patternId: id, version: version ?? 0 }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Deletes the whole club from the server; its name must be given. */
export function useWipeClub(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name) => call(ROUTES.wipeClub, { clubId }, { body: { name } }),
    // All cached replies are obsolete; without a club the frame shows what to do.
    onSuccess: () => client.resetQueries(),
  });
}
