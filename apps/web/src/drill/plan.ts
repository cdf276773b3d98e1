import type { AthleteReply, PatternReply } from '@orthokin/contract';
import type { LimitsMs } from '@orthokin/core/pattern';
import type { Action as ActionOf, Run as RunOf, RunPlan } from '@orthokin/core/run';

/** Everything fixed when a set starts, so that it can be run offline. */
export interface DrillPlan extends RunPlan {
  readonly id: string;
  readonly clubId: string;
  readonly athlete: AthleteReply;
  readonly pattern: PatternReply;
  /** The athlete's own limits on this rung; `null` for the rung's. */
  readonly limitsMs: LimitsMs | null;
  /** ISO 8601; zero of the set's clock. */
  readonly startedAt: string;
  readonly day: string;
  /** The calibration of whoever presses: the bias is subtracted, the sd stored with each press. */
  readonly hand: { readonly biasMs: number; readonly sdMs: number };
}

/** A set of this app in progress. */
export type Run = RunOf<DrillPlan>;
export type Action = ActionOf<DrillPlan>;
