import type {
  ClubReply,
  DrillSetupReply,
  RungMoveBody,
  RungMoveReply,
  SetReviewReply,
  SquadLineReply,
} from '@orthokin/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { v7 } from 'uuid';
import { get, put } from './api.js';

/** The club this page is about; the shell has loaded it before any place is shown. */
export const ClubContext = createContext<ClubReply | null>(null);

export function useClub(): ClubReply {
  const club = useContext(ClubContext);
  if (!club) throw new Error('useClub needs a ClubContext above it.');
  return club;
}

export const useClubs = (): UseQueryResult<ClubReply[]> =>
  useQuery({ queryKey: ['clubs'], queryFn: () => get('clubs') as Promise<ClubReply[]> });

export function useSquad(): UseQueryResult<SquadLineReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['squad', clubId],
    queryFn: () => get(`clubs/${clubId}/squad`) as Promise<SquadLineReply[]>,
  });
}

export function useDrillSetup(athleteId: string): UseQueryResult<DrillSetupReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['drill-setup', clubId, athleteId],
    queryFn: () =>
      get(`clubs/${clubId}/athletes/${athleteId}/drill-setup`) as Promise<DrillSetupReply>,
  });
}

export function useSetReview(setId: string, enabled: boolean): UseQueryResult<SetReviewReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['review', clubId, setId],
    queryFn: () => get(`clubs/${clubId}/sets/${setId}`) as Promise<SetReviewReply>,
    enabled,
  });
}

/** Moves an athlete on the ladder; everything that shows their rung is read again. */
export function useMove(): UseMutationResult<RungMoveReply, Error, Omit<RungMoveBody, 'movedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (move) =>
      put(`clubs/${clubId}/moves/${v7()}`, {
        ...move,
        movedAt: new Date().toISOString(),
      }) as Promise<RungMoveReply>,
    onSuccess: () => client.invalidateQueries(),
  });
}
