import type { AthleteCareReply, CareBody, CareReply } from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import { isUnderAge, type AgeBand, type Minded, type Said } from '@orthokin/core/people';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import type { Outgoing } from '../device/store.js';
import { call } from './client.js';
import { useClub } from './club.js';
import { afterCare, keys } from './keys.js';

/** Everything to be mindful of in an athlete. */
export function useAthleteCare(athleteId: string): UseQueryResult<AthleteCareReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.care(clubId, athleteId),
    queryFn: () => call(ROUTES.athleteCare, { clubId, athleteId }),
  });
}

/** A care record with its id. */
export interface SaidCare {
  readonly careId: string;
  readonly body: CareBody;
}

/** Writes, withdraws or restores a care record. */
export function useSayCare(): UseMutationResult<CareReply, Error, SaidCare> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ careId, body }) => call(ROUTES.sayCare, { clubId, careId }, { body }),
    onSuccess: () => afterCare(client, clubId),
  });
}

/** The same as a request for the outbox. */
export const careRequest = (clubId: string, { careId, body }: SaidCare): Outgoing => ({
  ...{ subject: `care:${careId}`, method: 'PUT', body },
  path: pathOf(ROUTES.sayCare, { clubId, careId }),
});

const noted = <T extends object>(what: T | null | undefined, at: string): (T & Said)[] =>
  what ? [{ ...what, saidAt: Date.parse(at) }] : [];

/** The records as they restrict a drill on a day. */
export function mindedOf(
  { said, bornOn, lastDay }: AthleteCareReply,
  ageBand: AgeBand,
  day: string,
): Minded {
  return {
    restrictions: said.flatMap(({ restriction, at }) => noted(restriction, at)),
    looks: said.flatMap(({ check, at }) => noted(check, at)),
    agreements: said.flatMap(({ agreement }) => agreement ?? []),
    goAheads: said.flatMap(({ goAhead, at }) => noted(goAhead, at)),
    underAge: isUnderAge(ageBand, bornOn, day),
    done: lastDay?.day === day ? lastDay : { minutes: 0, splits: 0 },
  };
}
