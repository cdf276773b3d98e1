import type {
  ClubReply,
  DrillSetupReply,
  PatternBody,
  PatternLineReply,
  PatternReply,
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
import { get, put, Refused } from './api.js';

const NOT_FOUND = 404;

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

/** What the floor needs to start; on the pattern named, or the one the athlete is working on. */
export function useDrillSetup(
  athleteId: string,
  patternId: string | null,
): UseQueryResult<DrillSetupReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['drill-setup', clubId, athleteId, patternId],
    queryFn: () =>
      get(
        `clubs/${clubId}/athletes/${athleteId}/drill-setup${patternId ? `?patternId=${patternId}` : ''}`,
      ) as Promise<DrillSetupReply>,
  });
}

export function useLibrary(): UseQueryResult<PatternLineReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['library', clubId],
    queryFn: () => get(`clubs/${clubId}/patterns`) as Promise<PatternLineReply[]>,
  });
}

/** The newest version of a pattern; `null` when the club has none of this id. */
export function usePattern(patternId: string): UseQueryResult<PatternReply | null> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['pattern', clubId, patternId],
    queryFn: () =>
      get(`clubs/${clubId}/patterns/${patternId}`).catch((error: unknown) => {
        if (error instanceof Refused && error.status === NOT_FOUND) return null;
        throw error;
      }) as Promise<PatternReply | null>,
    // While it is being edited it must not be read anew under the editor.
    staleTime: Infinity,
  });
}

interface Saving {
  readonly patternId: string;
  readonly version: number;
  readonly body: PatternBody;
}

/** Saves a pattern as its next version. */
export function useSavePattern(): UseMutationResult<PatternReply, Error, Saving> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ patternId, version, body }) =>
      put(
        `clubs/${clubId}/patterns/${patternId}/versions/${version}`,
        body,
      ) as Promise<PatternReply>,
    onSuccess: (saved) => {
      client.setQueryData(['pattern', clubId, saved.id], saved);
      for (const key of ['library', 'squad', 'drill-setup'])
        void client.invalidateQueries({ queryKey: [key, clubId] });
    },
  });
}

/** Puts a pattern aside, or takes it back. */
export function useArchive(): UseMutationResult<
  unknown,
  Error,
  { patternId: string; archived: boolean }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ patternId, archived }) =>
      put(`clubs/${clubId}/patterns/${patternId}/archived`, { archived }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['library', clubId] }),
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
