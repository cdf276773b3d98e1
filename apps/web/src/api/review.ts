import type {
  AthleteCourseReply,
  AthleteRepsReply,
  ImportBody,
  ImportReply,
  PoolQuery,
  RepBody,
  RepReply,
  SetNoteReply,
  SetReviewReply,
} from '@orthokin/contract';
import { problemSentence } from '@orthokin/core/result';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { v7 } from 'uuid';
import { useOutbox } from '../device/outbox-context.js';
import { call, Refused } from './client.js';
import { useClub } from './club.js';
import { sendOrLater } from './or-later.js';
import { afterSets, keys } from './keys.js';
import { say } from '../words/api.js';

const review = (clubId: string, setId: string) => ({
  queryKey: keys.review(clubId, setId),
  queryFn: () => call(ROUTES.review, { clubId, setId }),
});

export function useSetReview(setId: string, enabled: boolean): UseQueryResult<SetReviewReply> {
  const { clubId } = useClub();
  return useQuery({ ...review(clubId, setId), enabled });
}

export interface SetReviews {
  /** In the order asked for; `null` until all are loaded. */
  readonly sets: readonly SetReviewReply[] | null;
  readonly error: Error | null;
  readonly again: () => Promise<unknown>;
}

/** Several sets at once. */
export function useSetReviews(setIds: readonly string[]): SetReviews {
  const { clubId } = useClub();
  return useQueries({
    queries: setIds.map((id) => review(clubId, id)),
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

/** An athlete's whole course. */
export function useCourse(athleteId: string): UseQueryResult<AthleteCourseReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.course(clubId, athleteId),
    queryFn: () => call(ROUTES.course, { clubId, athleteId }),
    enabled: athleteId !== '',
  });
}

/** The counted reps of sets that may be pooled; disabled for `null`. */
export function useAthleteReps(
  athleteId: string,
  pool: PoolQuery | null,
): UseQueryResult<AthleteRepsReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.athleteReps(clubId, athleteId, pool),
    queryFn: () => call(ROUTES.athleteReps, { clubId, athleteId }, pool ? { query: pool } : {}),
    enabled: pool !== null,
  });
}

/** Adds a correction of a rep, and refreshes what follows from the set. */
export function useCorrectRep(setId: string): UseMutationResult<RepReply, Error, RepBody> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) => call(ROUTES.recordRep, { clubId, setId, repId: v7() }, { body }),
    onSuccess: () => afterSets(client, clubId),
  });
}

/** Stores reps as marked on film; without a network they are kept here and sent later. */
export function useKeepMarks(setId: string): UseMutationResult<void, Error, readonly RepBody[]> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  return useMutation({
    mutationFn: async (bodies) => {
      for (const body of bodies) {
        const params = { clubId, setId, repId: v7() };
        await sendOrLater(outbox, `drill:${setId}`, ROUTES.recordRep, params, body);
      }
    },
    onSuccess: () => afterSets(client, clubId),
  });
}

/** Writes or withdraws a note on a set; without a network it is kept here and sent later. */
export function useWriteNote(): UseMutationResult<SetNoteReply, Error, SetNoteReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  return useMutation({
    mutationFn: async ({ id, ...body }) => {
      await sendOrLater(outbox, `note:${id}`, ROUTES.writeNote, { clubId, noteId: id }, body);
      return { id, ...body };
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.courses(clubId) }),
  });
}

const ASK_AGAIN_MS = 400;

/** An import with its id: sent again it continues instead of storing anything twice. */
export interface Import {
  readonly importId: string;
  readonly body: ImportBody;
}

/** Imports sets; `onProgress` receives how many are stored. It continues without this page. */
export function useImportSets(
  onProgress: (reply: ImportReply) => void,
): UseMutationResult<ImportReply, Error, Import> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ importId, body }) => {
      const at = { clubId, importId };
      let reply = await call(ROUTES.importSets, at, { body });
      while (reply.state === 'waiting' || reply.state === 'storing') {
        onProgress(reply);
        await new Promise((done) => setTimeout(done, ASK_AGAIN_MS));
        reply = await call(ROUTES.importProgress, at);
      }
      onProgress(reply);
      if (reply.state === 'given up') throw new Error(say('serverCouldNotStoreRest'));
      if (reply.state === 'refused')
        throw new Refused(reply.problems.map(problemSentence).join(' '), 409, reply.problems);
      return reply;
    },
    onSettled: () => afterSets(client, clubId),
  });
}
