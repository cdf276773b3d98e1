import type {
  AthleteCourseReply,
  AthleteLadderReply,
  AthleteRepsReply,
  ClubReply,
  DrillSetupReply,
  ImportBody,
  ImportReply,
  LadderBody,
  LadderReply,
  OwnLadderBody,
  PatternBody,
  PatternLineReply,
  PatternReply,
  PoolQuery,
  RepBody,
  RepReply,
  RungMoveBody,
  RungMoveReply,
  SetNoteReply,
  SetReviewReply,
  SquadLineReply,
  StandingReply,
} from '@orthokin/contract';
import {
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { v7 } from 'uuid';
import { get, post, put, Refused, remove } from './api.js';

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

const drillSetup = (clubId: string, athleteId: string, patternId: string | null) => ({
  queryKey: ['drill-setup', clubId, athleteId, patternId],
  queryFn: () =>
    get(
      `clubs/${clubId}/athletes/${athleteId}/drill-setup${patternId ? `?patternId=${patternId}` : ''}`,
    ) as Promise<DrillSetupReply>,
});

/** What the floor needs to start; on the pattern named, or the one the athlete is working on. */
export function useDrillSetup(
  athleteId: string,
  patternId: string | null,
): UseQueryResult<DrillSetupReply> {
  const { clubId } = useClub();
  return useQuery(drillSetup(clubId, athleteId, patternId));
}

/** Fetches the same for whoever else is to work. */
export function useFetchSetup(): (
  athleteId: string,
  patternId: string,
) => Promise<DrillSetupReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return (athleteId, patternId) => client.query(drillSetup(clubId, athleteId, patternId));
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
  /** `afterNewest`: whatever others have saved meanwhile, it comes after that. */
  readonly version: number | 'afterNewest';
  readonly body: PatternBody;
}

/** Saves a pattern as its next version. */
export function useSavePattern(): UseMutationResult<PatternReply, Error, Saving> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ patternId, version, body }) => {
      const path = `clubs/${clubId}/patterns/${patternId}`;
      const next =
        version === 'afterNewest' ? ((await get(path)) as PatternReply).version + 1 : version;
      return put(`${path}/versions/${next}`, body) as Promise<PatternReply>;
    },
    onSuccess: (saved) => {
      client.setQueryData(['pattern', clubId, saved.id], saved);
      for (const key of ['library', 'squad', 'drill-setup', 'ladder'])
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

const setReview = (clubId: string, setId: string) => ({
  queryKey: ['review', clubId, setId],
  queryFn: () => get(`clubs/${clubId}/sets/${setId}`) as Promise<SetReviewReply>,
});

export function useSetReview(setId: string, enabled: boolean): UseQueryResult<SetReviewReply> {
  const { clubId } = useClub();
  return useQuery({ ...setReview(clubId, setId), enabled });
}

export interface SetReviews {
  /** In the order asked for; `null` until all are read. */
  readonly sets: readonly SetReviewReply[] | null;
  readonly error: Error | null;
  readonly again: () => Promise<unknown>;
}

/** Several sets at once. */
export function useSetReviews(setIds: readonly string[]): SetReviews {
  const { clubId } = useClub();
  return useQueries({
    queries: setIds.map((id) => setReview(clubId, id)),
    combine: (results) => {
      const sets = results.flatMap(({ data }) => data ?? []);
      return {
        sets: sets.length === results.length ? sets : null,
        error: results.find(({ error }) => error)?.error ?? null,
        again: () => Promise.all(results.map(({ refetch }) => refetch())),
      };
    },
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

const ladderPath = (clubId: string, patternId: string) =>
  `clubs/${clubId}/patterns/${patternId}/ladder`;

/** A pattern's ladder and everyone on it. */
export function useLadder(patternId: string): UseQueryResult<LadderReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['ladder', clubId, patternId],
    queryFn: () => get(ladderPath(clubId, patternId)) as Promise<LadderReply>,
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
    queryKey: ['ladder', clubId, patternId, athleteId],
    queryFn: () =>
      get(`${ladderPath(clubId, patternId)}/${athleteId}`) as Promise<AthleteLadderReply>,
    enabled: athleteId !== '',
  });
}

/** Saves how a ladder is climbed. */
export function useSaveLadder(): UseMutationResult<unknown, Error, Omit<LadderBody, 'savedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) =>
      put(`clubs/${clubId}/ladders/${v7()}`, { ...body, savedAt: new Date().toISOString() }),
    onSuccess: () => client.invalidateQueries(),
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
      put(`clubs/${clubId}/own-ladders/${v7()}`, { ...body, savedAt: new Date().toISOString() }),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Everything that is followed of an athlete. */
export function useCourse(athleteId: string): UseQueryResult<AthleteCourseReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['course', clubId, athleteId],
    queryFn: () =>
      get(`clubs/${clubId}/athletes/${athleteId}/course`) as Promise<AthleteCourseReply>,
    enabled: athleteId !== '',
  });
}

/** The counted reps of sets that may be pooled; `null` asks for nothing. */
export function useAthleteReps(
  athleteId: string,
  pool: PoolQuery | null,
): UseQueryResult<AthleteRepsReply> {
  const { clubId } = useClub();
  const query = new URLSearchParams(
    pool ? { ...pool, patternVersion: String(pool.patternVersion) } : {},
  ).toString();
  return useQuery({
    queryKey: ['athlete-reps', clubId, athleteId, query],
    queryFn: () =>
      get(`clubs/${clubId}/athletes/${athleteId}/reps?${query}`) as Promise<AthleteRepsReply>,
    enabled: pool !== null,
  });
}

export function useStandings(): UseQueryResult<StandingReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: ['standings', clubId],
    queryFn: () => get(`clubs/${clubId}/standings`) as Promise<StandingReply[]>,
  });
}

/** Puts a correction beside a rep; everything that follows from the set is read again. */
export function useCorrectRep(setId: string): UseMutationResult<RepReply, Error, RepBody> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) =>
      put(`clubs/${clubId}/sets/${setId}/reps/${v7()}`, body) as Promise<RepReply>,
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Writes a note of a set, or takes it back. */
export function useWriteNote(): UseMutationResult<SetNoteReply, Error, SetNoteReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }) =>
      put(`clubs/${clubId}/notes/${id}`, body) as Promise<SetNoteReply>,
    onSuccess: () => client.invalidateQueries({ queryKey: ['course', clubId] }),
  });
}

/** Stores sets timed elsewhere, all of them or none. */
export function useImportSets(): UseMutationResult<ImportReply, Error, ImportBody> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) => put(`clubs/${clubId}/imports`, body) as Promise<ImportReply>,
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Brings a whole club in from its file; works where there is no club yet. */
export function useBringClub(): UseMutationResult<ClubReply, Error, Blob> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (file) => post('clubs', file) as Promise<ClubReply>,
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Takes the whole club off the server; its name must be said. */
export function useWipeClub(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name) => remove(`clubs/${clubId}`, { name }),
    // Nothing that was read of it is true any more; with no club the shell says what to do.
    onSuccess: () => client.resetQueries(),
  });
}
