import type {
  AthleteBody,
  ClubReply,
  PatternBody,
  FaultCountReply,
  PersonReply,
} from '@orthokin/contract';
import type { Erasure } from '@orthokin/core/people';
import type { Fault } from '@orthokin/core/timing';
import { ROUTES } from '@orthokin/contract/routes';
import type { CourtName, LengthUnit } from '@orthokin/core/floor';
import { firstPattern } from '@orthokin/core/progress';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { v7 } from 'uuid';
import { useOutbox } from '../device/outbox-context.js';
import { call } from './client.js';
import { useClub } from './club.js';
import { sendOrLater } from './or-later.js';
import { afterPeople, afterWatching, keys } from './keys.js';

/** All athletes of the club, archived ones included, by name. */
export function usePeople(): UseQueryResult<PersonReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.people(clubId),
    queryFn: () => call(ROUTES.people, { clubId }),
  });
}

interface Saved {
  readonly athleteId: string;
  readonly body: AthleteBody;
}

/** Adds or changes an athlete; without a network the change is kept here and sent later. */
export function useSaveAthlete(): UseMutationResult<unknown, Error, Saved> {
  const { clubId } = useClub();
  const client = useQueryClient();
  const outbox = useOutbox();
  return useMutation({
    mutationFn: async ({ athleteId, body }) => {
      const params = { clubId, athleteId };
      const subject = `athlete:${athleteId}` as const;
      const when = await sendOrLater(outbox, subject, ROUTES.saveAthlete, params, body);
      if (when === 'later') {
        const { showAddedHere } = await import('./added-here.js');
        await showAddedHere(client, clubId, athleteId, body);
      }
    },
    onSuccess: () => afterPeople(client, clubId),
  });
}

/** Archives an athlete, or restores them. */
export function useArchiveAthlete(): UseMutationResult<
  PersonReply,
  Error,
  { readonly athleteId: string; readonly archived: boolean }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ athleteId, archived }) =>
      call(ROUTES.archiveAthlete, { clubId, athleteId }, { body: { archived } }),
    onSuccess: () => afterPeople(client, clubId),
  });
}

/** Sets the pattern an athlete works on. */
export function useWorkOn(): UseMutationResult<
  PersonReply,
  Error,
  { readonly athleteId: string; readonly patternId: string }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ athleteId, patternId }) =>
      call(ROUTES.workOn, { clubId, athleteId }, { body: { patternId } }),
    onSuccess: () => afterPeople(client, clubId),
  });
}

/** Sets the faults watched in an athlete. */
export function useWatch(): UseMutationResult<
  PersonReply,
  Error,
  { readonly athleteId: string; readonly watched: Fault[] }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ athleteId, watched }) =>
      call(ROUTES.watch, { clubId, athleteId }, { body: { watched } }),
    onSuccess: () => afterWatching(client, clubId),
  });
}

/** How often faults were seen in the club in recent weeks. */
export function useFaultsLately(): UseQueryResult<FaultCountReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.faults(clubId),
    queryFn: () => call(ROUTES.faultsLately, { clubId }),
  });
}

/** Erases an athlete, with all their sets or keeping those anonymously. */
export function useEraseAthlete(): UseMutationResult<
  unknown,
  Error,
  { readonly athleteId: string; readonly how: Erasure }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ athleteId, how }) =>
      call(ROUTES.eraseAthlete, { clubId, athleteId }, { body: { how } }),
    // Not awaited: the erased athlete's page must be left before it would refetch.
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.club(clubId) }),
  });
}

/** A new club with its first athlete. */
export interface Beginning {
  readonly club: { readonly name: string; readonly sport: string; readonly unit: LengthUnit };
  readonly court: CourtName;
  readonly patternName: string;
  readonly athlete: Omit<AthleteBody, 'patternId'>;
}

/** The new club with its ids, so that a second attempt continues with the same club. */
export interface Begun extends Beginning {
  readonly clubId: string;
  readonly patternId: string;
  readonly athleteId: string;
}

export const asBegun = (beginning: Beginning): Begun => ({
  ...beginning,
  ...{ clubId: v7(), patternId: v7(), athleteId: v7() },
});

/** Creates a club with a default pattern for its floor, a drafted ladder, and a first athlete. */
export function useBeginClub(): UseMutationResult<ClubReply, Error, Begun> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ clubId, patternId, athleteId, club, court, patternName, athlete }) => {
      const begun = await call(ROUTES.saveClub, { clubId }, { body: club });
      const { sport } = club;
      const pattern = firstPattern({ name: patternName, sport, court, hand: athlete.hand });
      await call(
        ROUTES.savePattern,
        { clubId, patternId, version: 1 },
        { body: pattern as PatternBody },
      );
      await call(ROUTES.saveAthlete, { clubId, athleteId }, { body: { ...athlete, patternId } });
      return begun;
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.clubs }),
  });
}
