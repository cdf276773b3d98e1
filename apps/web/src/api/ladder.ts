import type {
  AthleteLadderReply,
  LadderBody,
  LadderReply,
  OwnLadderBody,
  RungMoveBody,
  RungMoveReply,
} from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { v7 } from 'uuid';
import { useOutbox } from '../device/outbox-context.js';
import { call, Unreachable } from './client.js';
import { useClub } from './club.js';
import { showMovedHere } from './decided-here.js';
import { afterLadderChange, keys } from './keys.js';

/** A pattern's ladder, with everybody on it. */
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

/**
 * Moves an athlete, and refreshes everything that shows their rung. While the server is unreachable the move is made
 * here and queued behind the sets it is based on; the server then asks the rule again.
 */
export function useMove(): UseMutationResult<RungMoveReply, Error, Omit<RungMoveBody, 'movedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  const send = async (moveId: string, body: RungMoveBody): Promise<RungMoveReply> => {
    // It must not arrive before the set it is about, or before an earlier move.
    const { subjects } = outbox.snapshot();
    const isAhead = [...subjects].some(
      (subject) => subject.startsWith('move:') || subject === `drill:${body.setId}`,
    );
    try {
      if (!isAhead) return await call(ROUTES.move, { clubId, moveId }, { body });
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error;
    }
    const later = { ...body, onDevice: true };
    const path = pathOf(ROUTES.move, { clubId, moveId });
    await outbox.queue({
      subject: `move:${moveId}`,
      method: ROUTES.move.method,
      path,
      body: later,
    });
    return showMovedHere(client, clubId, moveId, later);
  };
  return useMutation({
    mutationFn: (move) => send(v7(), { ...move, movedAt: now() }),
    onSuccess: ({ onDevice }) => (onDevice ? undefined : afterLadderChange(client, clubId)),
    networkMode: 'always',
  });
}

/** Saves a ladder's settings. */
export function useSaveLadder(): UseMutationResult<unknown, Error, Omit<LadderBody, 'savedAt'>> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body) =>
      call(ROUTES.saveLadder, { clubId, ladderId: v7() }, { body: { ...body, savedAt: now() } }),
    onSuccess: () => afterLadderChange(client, clubId),
  });
}

/** Saves an athlete's own limits. */
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
