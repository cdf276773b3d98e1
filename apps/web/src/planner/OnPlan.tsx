import type { PlanReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import { usePlan } from '../api/plans.js';
import { Failed } from '../parts/Notice.js';
import { Page, Quiet } from '../parts/Text.js';
import { say } from '../words/plan.js';

/** Loads the plan in the address, and renders what needs it. */
export function OnPlan({
  children,
}: {
  children: (plan: PlanReply, again: () => Promise<unknown>) => ReactElement;
}): ReactElement {
  const { planId = '' } = useParams();
  const { data, error, refetch } = usePlan(planId);
  if (data) return children(data, refetch);
  return (
    <Page name={say('plan')}>
      {error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : (
        <Quiet>{say('readingPlans')}</Quiet>
      )}
    </Page>
  );
}
