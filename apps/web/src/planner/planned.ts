import type { PlanBody, PlanReply } from '@orthokin/contract';
import { remembered } from '../device/preferences.js';

/** What of a plan is edited: all but the count of its changes. */
export type Planned = Omit<PlanBody, 'revision'>;

/** Kept on this device until the server has it: what was changed when the network went is not lost. */
export interface Draft {
  readonly planned: Planned;
  /** The revision it was made from; that of what was on its way when it was made. */
  readonly from: number;
}

/** Under what the draft of a plan is kept. */
export const draftName = (planId: string): string => `plan-draft.${planId}`;

/** A plan as the server has it. */
export const plannedOf = (plan: PlanReply): Planned => {
  const { name, day, startsAt, minutes, athleteIds, blocks, programmeId = null } = plan;
  return { name, day, startsAt, minutes, athleteIds, blocks, programmeId };
};

/** How a session is edited from here: as it was left, on top of which revision. */
export interface Left {
  readonly planned: Planned;
  readonly revision: number;
}

/**
 * A plan as it was left on this device: with what the server has not answered yet, else as it has it. A
 * draft made from an older revision is still somebody's work: it is sent as the change of that one, and
 * where somebody else has changed the plan meanwhile both are shown.
 */
export function asLeft(plan: PlanReply): Left {
  const { revision } = plan;
  const stored = plannedOf(plan);
  const draft = remembered<Draft | null>(draftName(plan.id), null);
  // One that arrived, though nobody here heard of it, is no change any more.
  return draft && JSON.stringify(draft.planned) !== JSON.stringify(stored)
    ? { planned: draft.planned, revision: Math.min(draft.from, revision) }
    : { planned: stored, revision };
}
