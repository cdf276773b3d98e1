import type { PlanBody, PlanReply } from '@orthokin/contract';
import { useEffect, useRef, useState } from 'react';
import { Refused } from '../api/client.js';
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
const AGAIN_AFTER_MS = 5000;

/** A session under edit, saved by itself as it changes. */
export interface Planning extends Edited<Planned> {
  readonly isSaved: boolean;
  /** Why it could not be saved; it is kept on this device. */
  readonly error: Error | null;
}

const withoutRevision = ({ revision: _, ...planned }: PlanBody): Planned => planned;

const plannedOf = ({ name, day, startsAt, minutes, athleteIds, blocks }: PlanReply): Planned => ({
  ...{ name, day, startsAt, minutes, athleteIds, blocks },
});

/** A plan as it was left on this device: as the server has it, or with what it was not sent yet. */
export function asLeft(plan: PlanReply): Planned {
  const draft = remembered<Draft | null>(draftName(plan.id), null);
  return draft?.from === plan.revision ? draft.planned : plannedOf(plan);
}

/** Edits a plan as it was left, and saves it by itself. */
export function usePlanning(plan: PlanReply): Planning {
  const edited = useHistory<Planned>(() => asLeft(plan));
  const { present } = edited;
  const { mutate, isPending, error, variables } = useSavePlan();
  const [revision, setRevision] = useState(plan.revision);
  const [saved, setSaved] = useState(() => JSON.stringify(plannedOf(plan)));
  const isUnsent = JSON.stringify(present) !== saved;
  const failed = error ? JSON.stringify(withoutRevision(variables.body)) : null;
  useEffect(() => {
    if (!isUnsent) return undefined;
    // What is on its way will have been a change of its own by then.
    const from = isPending ? revision + 1 : revision;
    remember(draftName(plan.id), { planned: present, from } satisfies Draft);
    // What was refused is not sent again as it is; what did not arrive is, after a while.
    const isSame = failed === JSON.stringify(present);
    if (isPending || (isSame && error instanceof Refused)) return undefined;
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
      isSame ? AGAIN_AFTER_MS : SEND_AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [isUnsent, isPending, error, failed, mutate, plan.id, present, revision]);
  const unsent = useRef<PlanBody | null>(null);
  useEffect(() => {
    unsent.current = isUnsent && !isPending ? { ...present, revision: revision + 1 } : null;
  }, [isUnsent, isPending, present, revision]);
  // Whoever leaves does not wait for it to be saved.
  useEffect(
    () => () => {
      if (unsent.current) mutate({ planId: plan.id, body: unsent.current });
    },
    [mutate, plan.id],
  );
  return { ...edited, isSaved: !isUnsent && !isPending, error };
}
