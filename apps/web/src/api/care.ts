import type { AthleteCareReply, CareBody, CareReply } from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import { isUnderAge, type AgeBand, type Minded } from '@orthokin/core/people';
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

/** What is to be minded of an athlete. */
export function useAthleteCare(athleteId: string): UseQueryResult<AthleteCareReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.care(clubId, athleteId),
    queryFn: () => call(ROUTES.athleteCare, { clubId, athleteId }),
  });
}

/** Something said of somebody's care, under an id of its own. */
export interface SaidCare {
  readonly careId: string;
  readonly body: CareBody;
}

/** Writes down what was said, takes it back, or puts it back. */
export function useSayCare(): UseMutationResult<CareReply, Error, SaidCare> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ careId, body }) => call(ROUTES.sayCare, { clubId, careId }, { body }),
    onSuccess: () => afterCare(client, clubId),
  });
}

/** The same as a request that waits for the network. */
export const careRequest = (clubId: string, { careId, body }: SaidCare): Outgoing => ({
  ...{ subject: `care:${careId}`, method: 'PUT', body },
  path: pathOf(ROUTES.sayCare, { clubId, careId }),
});

/** What was said, as a drill on a day is held against it. */
export function mindedOf(
  { said, bornOn, lastDay }: AthleteCareReply,
  ageBand: AgeBand,
  day: string,
): Minded {
  return {
    restrictions: said.flatMap(({ restriction }) => restriction ?? []),
    looks: said.flatMap(({ check }) => check ?? []),
    agreements: said.flatMap(({ agreement }) => agreement ?? []),
    goAheads: said.flatMap(({ goAhead }) => goAhead ?? []),
    underAge: isUnderAge(ageBand, bornOn, day),
    done: lastDay?.day === day ? lastDay : { minutes: 0, splits: 0 },
  };
}
