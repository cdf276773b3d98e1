import type { AthleteReply, PatternReply } from '@orthokin/contract';
import type { LimitsMs } from '@orthokin/core/pattern';
import type { Action as ActionOf, Run as RunOf, RunPlan } from '@orthokin/core/run';

/** Everything that is settled when a set starts; enough to run it with no network at all. */
export interface DrillPlan extends RunPlan {
  readonly id: string;
  readonly clubId: string;
  readonly athlete: AthleteReply;
  readonly pattern: PatternReply;
  /** Limits of the athlete's own on this rung; `null` for the rung's. */
  readonly limitsMs: LimitsMs | null;
  /** ISO 8601; the zero of the set's clock. */
  readonly startedAt: string;
  readonly day: string;
  /** How whoever presses does: the bias is taken off, the sd kept with each press. */
  readonly hand: { readonly biasMs: number; readonly sdMs: number };
}

/** A set of this app as far as it has been run, and what can happen in it. */
export type Run = RunOf<DrillPlan>;
export type Action = ActionOf<DrillPlan>;
