import type { PlanBody, PlanReply } from '@orthokin/contract';
import { remembered } from '../device/preferences.js';

/** The editable part of a plan. */
export type Planned = Omit<PlanBody, 'revision'>;

/** An edited plan, stored on this device until the server has it, so that edits survive a lost network. */
export interface Draft {
  readonly planned: Planned;
  /** The revision it is based on, counting a change that is being sent. */
  readonly from: number;
}

/** Key of a plan's draft. */
export const draftName = (planId: string): string => `plan-draft.${planId}`;

/** A plan as the server has it. */
export const plannedOf = (plan: PlanReply): Planned => {
  const { name, day, startsAt, minutes, athleteIds, blocks, programmeId = null } = plan;
  return { name, day, startsAt, minutes, athleteIds, blocks, programmeId };
};

/** An edited plan and the revision it is based on. */
export interface Left {
  readonly planned: Planned;
  readonly revision: number;
}

/**
 * A plan as it was left on this device: the draft, if the server has not confirmed it, or else the server's version.
 * A draft based on an older revision is sent as a change of that one; if somebody else has changed the plan
 * meanwhile, both versions are shown.
 */
export function asLeft(plan: PlanReply): Left {
  const { revision } = plan;
  const stored = plannedOf(plan);
  const draft = remembered<Draft | null>(draftName(plan.id), null);
  // If a draft equals the server's version it was saved, though the reply was lost.
  return draft && JSON.stringify(draft.planned) !== JSON.stringify(stored)
    ? { planned: draft.planned, revision: Math.min(draft.from, revision) }
    : { planned: stored, revision };
}
