import type { PlanBody, PlanReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { call } from './client.js';
import { useClub } from './club.js';
import { keys } from './keys.js';

/** The sessions that are planned, the latest day first. */
export function usePlans(): UseQueryResult<PlanReply[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.plans(clubId),
    queryFn: () => call(ROUTES.plans, { clubId }),
  });
}

/** One of them. */
export function usePlan(planId: string): UseQueryResult<PlanReply> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: keys.plan(clubId, planId),
    queryFn: () => call(ROUTES.plan, { clubId, planId }),
  });
}

interface Saved {
  readonly planId: string;
  readonly body: PlanBody;
}

/** Plans a session, or changes one. */
export function useSavePlan(): UseMutationResult<PlanReply, Error, Saved> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ planId, body }) => call(ROUTES.savePlan, { clubId, planId }, { body }),
    onSuccess: (plan) => {
      client.setQueryData(keys.plan(clubId, plan.id), plan);
      // Stored at once, so that the next change builds on this one before the list is refetched.
      client.setQueryData<PlanReply[]>(keys.plans(clubId), (all) =>
        all?.map((one) => (one.id === plan.id ? plan : one)),
      );
      void client.invalidateQueries({ queryKey: keys.plans(clubId), exact: true });
    },
  });
}

/** Deletes a plan. */
export function useRemovePlan(): UseMutationResult<unknown, Error, string> {
  const { clubId } = useClub();
  const client = useQueryClient();
  return useMutation({
    mutationFn: (planId) => call(ROUTES.removePlan, { clubId, planId }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.plans(clubId), exact: true }),
  });
}
