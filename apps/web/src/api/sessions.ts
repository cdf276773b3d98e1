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

/** The sessions that were held, the latest first. */
export function useHeldSessions(): UseQueryResult<HeldSessionReply[]> {
  const { clubId } = useClub();
  return useQuery({
    enabled: useMay(ROUTES.heldSessions),
    queryKey: keys.heldSessions(clubId),
    queryFn: () => call(ROUTES.heldSessions, { clubId }),
  });
}

/** One of them. */
export function useHeldSession(sessionId: string): UseQueryResult<HeldSessionReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.heldSession(clubId, sessionId),
    queryFn: () => call(ROUTES.heldSession, { clubId, sessionId }),
  });
}

/** What was timed in it. */
export function useSessionSets(sessionId: string): UseQueryResult<SessionSetReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.sessionSets(clubId, sessionId),
    queryFn: () => call(ROUTES.sessionSets, { clubId, sessionId }),
  });
}

/** What was seen in sessions lately, the newest first. */
export function useSessionNotes(): UseQueryResult<SessionNoteReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.sessionNotes(clubId),
    queryFn: () => call(ROUTES.sessionNotes, { clubId }),
  });
}

/** How much everyone has done in the week of a day, and in the four before it. */
export function useLoads(day: string): UseQueryResult<AthleteLoadReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.loadsOn(clubId, day),
    queryFn: () => call(ROUTES.loads, { clubId }, { query: { day } }),
  });
}

/** Keeps a session that was held; without a network it is kept here and sent later. */
export function useHoldSession(): UseMutationResult<void, Error, HeldSessionReply> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  const mutationKey = ['hold session', clubId];
  return useMutation({
    mutationKey,
    // One after the other: each says the whole session, and the last said must be the last stored.
    scope: { id: mutationKey.join(' ') },
    mutationFn: async ({ id, ...body }) => {
      const params = { clubId, sessionId: id };
      await sendOrLater(outbox, `session:${id}`, ROUTES.holdSession, params, body);
    },
    // Shown at once: the next change is made on top of this one, though nobody has answered yet.
    onMutate: async (session) => {
      // A reading begun before this change would put the session back to what it was.
      await client.cancelQueries({ queryKey: keys.heldSessions(clubId) });
      client.setQueryData(keys.heldSession(clubId, session.id), session);
    },
    // While another change waits, what the server says is out of date.
    onSettled: () =>
      client.isMutating({ mutationKey }) === 1 ? afterSession(client, clubId) : undefined,
  });
}

/** Takes a session away: it was not held after all. */
export function useRemoveSession(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (sessionId) => call(ROUTES.removeSession, { clubId, sessionId }),
    onSuccess: () => afterSession(client, clubId),
  });
}

/** Writes what was seen, or takes it back; it stands here at once and is sent when it can be. */
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
