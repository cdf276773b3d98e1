import type { PlanBody, PlanReply } from '@orthokin/contract';
import { useEffect, useRef, useState } from 'react';
import { isOvertaken, Refused } from '../api/client.js';
import { useSavePlan } from '../api/plans.js';
import { forget, remember } from '../device/preferences.js';
import { useHistory, type Edited } from '../parts/history.js';
import { asLeft, draftName, plannedOf, type Draft, type Planned } from './planned.js';

/** Changes within this time are sent together, ms. */
const SEND_AFTER_MS = 600;
const AGAIN_AFTER_MS = 5000;

/** A session being edited, saved automatically. */
export interface Planning extends Edited<Planned> {
  readonly isSaved: boolean;
  /** Why it could not be saved; it is still stored on this device. */
  readonly error: Error | null;
  /** Whether somebody else changed it meanwhile. */
  readonly isOvertaken: boolean;
  /** Saves the local version over somebody else's. */
  readonly keepMine: (theirs: PlanReply) => void;
}

/** The request that saves the next revision. */
const next = (planned: Planned, revision: number): PlanBody => ({
  ...planned,
  revision: revision + 1,
});

const withoutRevision = ({ revision: _, ...planned }: PlanBody): Planned => planned;

/** Edits a plan, starting as it was left, and saves it automatically. */
export function usePlanning(plan: PlanReply): Planning {
  const [left] = useState(() => asLeft(plan));
  const edited = useHistory<Planned>(() => left.planned);
  const { present } = edited;
  const { mutate, isPending, error, variables } = useSavePlan();
  // Of the edited version, not of the last one loaded, which may be somebody else's.
  const [revision, setRevision] = useState(left.revision);
  const [saved, setSaved] = useState(() => JSON.stringify(plannedOf(plan)));
  const isUnsent = JSON.stringify(present) !== saved;
  const failed = error ? JSON.stringify(withoutRevision(variables.body)) : null;
  useEffect(() => {
    if (!isUnsent) return undefined;
    // A save in progress will have become a revision of its own.
    const from = isPending ? revision + 1 : revision;
    remember(draftName(plan.id), { planned: present, from } satisfies Draft);
    // A refused save is not repeated unchanged; one that did not arrive is, after a while.
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
  // Leaving the page saves at once.
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
