import type {
  AthleteLoadReply,
  HeldSessionReply,
  SessionNoteReply,
  SessionSetReply,
} from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useOutbox } from '../device/outbox-context.js';
import { showAtOnce } from './at-once.js';
import { call } from './client.js';
import { useClub } from './club.js';
import { useMay } from './me.js';
import { afterSession, keys } from './keys.js';
import { sendOrLater } from './or-later.js';

/** Held sessions, latest first. */
export function useHeldSessions(): UseQueryResult<HeldSessionReply[]> {
  const { clubId } = useClub();
  return useQuery({
    enabled: useMay(ROUTES.heldSessions),
    queryKey: keys.heldSessions(clubId),
    queryFn: () => call(ROUTES.heldSessions, { clubId }),
  });
}

/** One held session. */
export function useHeldSession(sessionId: string): UseQueryResult<HeldSessionReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.heldSession(clubId, sessionId),
    queryFn: () => call(ROUTES.heldSession, { clubId, sessionId }),
  });
}

/** The sets timed during a session. */
export function useSessionSets(sessionId: string): UseQueryResult<SessionSetReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.sessionSets(clubId, sessionId),
    queryFn: () => call(ROUTES.sessionSets, { clubId, sessionId }),
  });
}

/** Recent observations in sessions, newest first. */
export function useSessionNotes(): UseQueryResult<SessionNoteReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.sessionNotes(clubId),
    queryFn: () => call(ROUTES.sessionNotes, { clubId }),
  });
}

/** Everybody's load in the week of a day and the four before it. */
export function useLoads(day: string): UseQueryResult<AthleteLoadReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.loadsOn(clubId, day),
    queryFn: () => call(ROUTES.loads, { clubId }, { query: { day } }),
  });
}

/** Saves a held session; without a network it is kept here and sent later. */
export function useHoldSession(): UseMutationResult<void, Error, HeldSessionReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  const mutationKey = ['hold session', clubId];
  return useMutation({
    mutationKey,
    // One after another: each request contains the whole session, so the last must arrive last.
    scope: { id: mutationKey.join(' ') },
    mutationFn: async ({ id, ...body }) => {
      const params = { clubId, sessionId: id };
      await sendOrLater(outbox, `session:${id}`, ROUTES.holdSession, params, body);
    },
    // Applied at once, so that the next change builds on this one before there is a reply.
    onMutate: async (session) => {
      // A response already under way would undo the change.
      await client.cancelQueries({ queryKey: keys.heldSessions(clubId) });
      client.setQueryData(keys.heldSession(clubId, session.id), session);
    },
    // While another change waits the server's reply is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1 ? afterSession(client, clubId) : undefined,
  });
}

/** Deletes a session that did not take place. */
export function useRemoveSession(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (sessionId) => call(ROUTES.removeSession, { clubId, sessionId }),
    onSuccess: () => afterSession(client, clubId),
  });
}

/** Writes or withdraws an observation; it shows at once, and is sent when possible. */
export function useWriteSessionNote(): UseMutationResult<void, Error, SessionNoteReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  const queryKey = keys.sessionNotes(clubId);
  return useMutation({
    mutationFn: async ({ id, ...body }) => {
      const params = { clubId, noteId: id };
      await sendOrLater(outbox, `session:${id}`, ROUTES.writeSessionNote, params, body);
    },
    onMutate: (note) => showAtOnce(client, queryKey, note),
    onError: () => client.invalidateQueries({ queryKey }),
  });
}
