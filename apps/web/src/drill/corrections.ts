import type { RepBody, RepReply } from '@orthokin/contract';
import { effectiveReps } from '@orthokin/core/timing';

/** The rep with this ordinal, after all corrections. */
export const effectiveRep = (reps: readonly RepReply[], ordinal: number): RepReply | undefined =>
  effectiveReps(reps.map((rep) => ({ ...rep, replaces: rep.replaces ?? null }))).find(
    (rep) => rep.ordinal === ordinal,
  );

/** The correction of a rep, as a request. */
export function correctionOf(
  { id, ...rep }: RepReply,
  change: Partial<RepBody>,
  by: string,
): RepBody {
  return { ...rep, ...change, replaces: id, corrected: { by, at: new Date().toISOString() } };
}
