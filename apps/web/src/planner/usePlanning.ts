import type { PlanBody, PlanReply } from '@orthokin/contract';
import { useEffect, useState } from 'react';
import { useSavePlan } from '../api/plans.js';
import { forget, remember, remembered } from '../device/preferences.js';
import { useHistory, type Edited } from '../parts/history.js';

/** What of a plan is edited: all but the count of its changes. */
export type Planned = Omit<PlanBody, 'revision'>;

/** Kept on this device until the server has it: what was changed when the network went is not lost. */
interface Draft {
  readonly planned: Planned;
  /** The revision it was made from. */
  readonly from: number;
}

const draftName = (planId: string): string => `plan-draft.${planId}`;

/** Whoever changes several things one after another sends them together, ms. */
const SEND_AFTER_MS = 600;

/** A session under edit, saved by itself as it changes. */
export interface Planning extends Edited<Planned> {
  readonly isSaved: boolean;
  /** Why it could not be saved; it is kept on this device. */
  readonly error: Error | null;
}

const plannedOf = ({ name, day, startsAt, minutes, athleteIds, blocks }: PlanReply): Planned => ({
  ...{ name, day, startsAt, minutes, athleteIds, blocks },
});

/** Edits a plan as the server has it, or goes on with what it was not sent yet. */
export function usePlanning(plan: PlanReply): Planning {
  const edited = useHistory<Planned>(() => {
    const draft = remembered<Draft | null>(draftName(plan.id), null);
    return draft?.from === plan.revision ? draft.planned : plannedOf(plan);
  });
  const { present } = edited;
  const { mutate, isPending, error } = useSavePlan();
  const [revision, setRevision] = useState(plan.revision);
  const [saved, setSaved] = useState(() => JSON.stringify(plannedOf(plan)));
  const isUnsent = JSON.stringify(present) !== saved;
  useEffect(() => {
    if (!isUnsent) return undefined;
    remember(draftName(plan.id), { planned: present, from: revision } satisfies Draft);
    if (isPending) return undefined;
    const timer = setTimeout(
      () =>
        mutate(
          { planId: plan.id, body: { ...present, revision: revision + 1 } },
          {
            onSuccess: () => {
              setRevision(revision + 1);
              setSaved(JSON.stringify(present));
              forget(draftName(plan.id));
            },
          },
        ),
      SEND_AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [isUnsent, isPending, mutate, plan.id, present, revision]);
  return { ...edited, isSaved: !isUnsent && !isPending, error };
}
