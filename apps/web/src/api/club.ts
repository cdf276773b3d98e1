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

/** The club that is open, and how another is opened; kept on this device. */
export const ChosenClub = createContext<{
  readonly clubId: string | null;
  readonly open: (clubId: string) => void;
}>({ clubId: null, open: () => undefined });

/** The club this page is about; the shell has loaded it before any place is shown. */
export const ClubContext = createContext<ClubReply | null>(null);

export function useClub(): ClubReply {
  const club = useContext(ClubContext);
  if (!club) throw new Error('useClub needs a ClubContext above it.');
  return club;
}

export const useClubs = (): UseQueryResult<ClubReply[]> =>
  useQuery({ queryKey: keys.clubs, queryFn: () => call(ROUTES.clubs, {}) });

/** Brings a whole club in from its file; works where there is no club yet. */
export function useBringClub(): UseMutationResult<ClubReply, Error, Blob> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) => call(ROUTES.bringClub, {}, { body }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Changes what is said of the club that is open. */
export function useSaveClub(): UseMutationResult<ClubReply, Error, ClubBody> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const mutationKey = ['save club', clubId];
  return useMutation({
    mutationKey,
    // One after the other: each says the whole club, and the last said must be the last stored.
    scope: { id: mutationKey.join(' ') },
    mutationFn: (body) => call(ROUTES.saveClub, { clubId }, { body }),
    // Shown at once: the next change is made on top of this one, though nobody has answered yet.
    onMutate: async ({ name, sport, unit, faults }) => {
      // A reading begun before this change would put the club back to what it was.
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
    // While another change waits, what the server says is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1
        ? client.invalidateQueries({ queryKey: keys.clubs })
        : undefined,
  });
}

/** Throws the demo club away, whichever club is open. */
export function useThrowDemoAway(): UseMutationResult<unknown, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name) => call(ROUTES.wipeClub, { clubId: DEMO_CLUB_ID }, { body: { name } }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Brings the demo club back as new. */
export function useBringDemo(): UseMutationResult<ClubReply, Error, void> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => call(ROUTES.bringDemo, {}),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.clubs }),
  });
}

/** What of the club is stored and cannot be read. */
export function useUnreadable(): UseQueryResult<UnreadableReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['unreadable', clubId],
    queryFn: () => call(ROUTES.unreadable, { clubId }),
  });
}

/** Takes what cannot be read out of the club, for good. */
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

/** Takes the whole club off the server; its name must be said. */
export function useWipeClub(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name) => call(ROUTES.wipeClub, { clubId }, { body: { name } }),
    // Nothing that was read of it is true any more; with no club the shell says what to do.
    onSuccess: () => client.resetQueries(),
  });
}
