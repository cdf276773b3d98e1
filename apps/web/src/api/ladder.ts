import type {
  AthleteLadderReply,
  LadderBody,
  LadderReply,
  OwnLadderBody,
  RungMoveBody,
  RungMoveReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { v7 } from 'uuid';
import { call } from './client.js';
import { useClub } from './club.js';
import { afterLadderChange, keys } from './keys.js';

/** A pattern's ladder and everyone on it. */
export function useLadder(patternId: string): UseQueryResult<LadderReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.ladder(clubId, patternId),
    queryFn: () => call(ROUTES.ladder, { clubId, patternId }),
    enabled: patternId !== '',
  });
}

/** One athlete on a pattern's ladder. */
export function useAthleteLadder(
  patternId: string,
  athleteId: string,
): UseQueryResult<AthleteLadderReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.athleteLadder(clubId, patternId, athleteId),
    queryFn: () => call(ROUTES.athleteLadder, { clubId, patternId, athleteId }),
    enabled: athleteId !== '',
  });
}

const now = (): string => new Date().toISOString();

/** Moves an athlete on the ladder; everything that shows their rung is read again. */
export function useMove(): UseMutationResult<RungMoveReply, Error, Omit<RungMoveBody, 'movedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (move) =>
      call(ROUTES.move, { clubId, moveId: v7() }, { body: { ...move, movedAt: now() } }),
    onSuccess: () => afterLadderChange(client, clubId),
  });
}

/** Saves how a ladder is climbed. */
export function useSaveLadder(): UseMutationResult<unknown, Error, Omit<LadderBody, 'savedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) =>
      call(ROUTES.saveLadder, { clubId, ladderId: v7() }, { body: { ...body, savedAt: now() } }),
    onSuccess: () => afterLadderChange(client, clubId),
  });
}

/** Saves an athlete's own limits on a ladder. */
export function useSaveOwnLimits(): UseMutationResult<
  unknown,
  Error,
  Omit<OwnLadderBody, 'savedAt'>
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) =>
      call(ROUTES.saveOwnLimits, { clubId, ladderId: v7() }, { body: { ...body, savedAt: now() } }),
    onSuccess: () => afterLadderChange(client, clubId),
  });
}
