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

/**
 * A plan as it was left on this device: with what the server has not answered yet, else as it has it. A
 * draft made from an older revision is not taken up: it was saved, or somebody else has changed the plan.
 */
export function asLeft(plan: PlanReply): Planned {
  const draft = remembered<Draft | null>(draftName(plan.id), null);
  return draft && draft.from >= plan.revision ? draft.planned : plannedOf(plan);
}
