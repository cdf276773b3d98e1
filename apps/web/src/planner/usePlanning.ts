import type { PlanBody, PlanReply } from '@orthokin/contract';
import { useEffect, useRef, useState } from 'react';
import { isOvertaken, Refused } from '../api/client.js';
import { useSavePlan } from '../api/plans.js';
import { forget, remember } from '../device/preferences.js';
import { useHistory, type Edited } from '../parts/history.js';
import { asLeft, draftName, plannedOf, type Draft, type Planned } from './planned.js';

/** Whoever changes several things one after another sends them together, ms. */
const SEND_AFTER_MS = 600;
const AGAIN_AFTER_MS = 5000;

/** A session under edit, saved by itself as it changes. */
export interface Planning extends Edited<Planned> {
  readonly isSaved: boolean;
  /** Why it could not be saved; it is kept on this device. */
  readonly error: Error | null;
  /** Somebody else has changed it meanwhile. */
  readonly isOvertaken: boolean;
  /** Saves what is here on top of what somebody else has made of it. */
  readonly keepMine: (theirs: PlanReply) => void;
}

/** What is sent as the next change of a plan. */
const next = (planned: Planned, revision: number): PlanBody => ({
  ...planned,
  revision: revision + 1,
});

const withoutRevision = ({ revision: _, ...planned }: PlanBody): Planned => planned;

/** Edits a plan as it was left, and saves it by itself. */
export function usePlanning(plan: PlanReply): Planning {
  const [left] = useState(() => asLeft(plan));
  const edited = useHistory<Planned>(() => left.planned);
  const { present } = edited;
  const { mutate, isPending, error, variables } = useSavePlan();
  // Of what is edited, not of the plan as it was read last: that may be somebody else's by now.
  const [revision, setRevision] = useState(left.revision);
  const [saved, setSaved] = useState(() => JSON.stringify(plannedOf(plan)));
  const isUnsent = JSON.stringify(present) !== saved;
  const failed = error ? JSON.stringify(withoutRevision(variables.body)) : null;
  useEffect(() => {
    if (!isUnsent) return undefined;
    // What is on its way will have been a change of its own by then.
    const from = isPending ? revision + 1 : revision;
    remember(draftName(plan.id), { planned: present, from } satisfies Draft);
    // What was refused is not sent again as it is; what did not arrive is, after a while.
    const isSame = failed === JSON.stringify(present) && variables?.body.revision === revision + 1;
    if (isPending || (isSame && error instanceof Refused)) return undefined;
    const timer = setTimeout(
      () =>
        mutate(
          { planId: plan.id, body: next(present, revision) },
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
  }, [isUnsent, isPending, error, failed, mutate, plan.id, present, revision, variables]);
  const unsent = useRef<PlanBody | null>(null);
  useEffect(() => {
    unsent.current = isUnsent && !isPending ? next(present, revision) : null;
  }, [isUnsent, isPending, present, revision]);
  // Whoever leaves does not wait for it to be saved.
  useEffect(
    () => () => {
      if (unsent.current) mutate({ planId: plan.id, body: unsent.current });
    },
    [mutate, plan.id],
  );
  return {
    ...{ ...edited, isSaved: !isUnsent && !isPending, error },
    isOvertaken: isUnsent && isOvertaken(error),
    keepMine: (theirs) => setRevision(theirs.revision),
  };
}
