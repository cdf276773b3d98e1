import type { EndReason } from '@orthokin/core/run';
import type {
  AthleteReply,
  DrillSetBody,
  PatternReply,
  RepReply,
  RungMoveReply,
} from '@orthokin/contract';
import type { Decision } from '@orthokin/core/progress';
import { useQuery } from '@tanstack/react-query';
import type { Run } from '../../drill/plan.js';
import { replayLog } from '../../drill/replay-log.js';
import { setBody } from '../../drill/requests.js';
import { actionsOf } from '../../device/drill-log.js';
import { useSending } from '../../device/outbox-context.js';
import { useSetReview } from '../../api/review.js';
import { say } from '../../words/review.js';

/** A set to review, from the server or from this device. */
export interface Review {
  readonly set: DrillSetBody & { readonly endReason: EndReason | null };
  readonly athlete: AthleteReply;
  readonly pattern: PatternReply;
  /** All recorded reps, replaced ones included. */
  readonly reps: readonly RepReply[];
  /** The decision; `null` while the earlier sets are not available. */
  readonly decision: Decision | null;
  readonly currentRung: number | null;
  readonly moved: RungMoveReply | null;
}

const fromRun = (run: Run): Review => ({
  set: { ...setBody(run), endReason: run.endReason },
  athlete: run.plan.athlete,
  pattern: run.plan.pattern,
  reps: run.recorded.map((rep) => ({
    ...rep,
    events: [...rep.events],
    seenFaults: [...rep.seenFaults],
  })),
  decision: null,
  currentRung: null,
  moved: null,
});

export interface Reading {
  readonly review: Review | null;
  readonly error: Error | null;
  readonly again: () => void;
}

/** A set from the server; from this device while part of it has not been sent, or while the server is unreachable. */
export function useReview(setId: string): Reading {
  const { waiting, subjects } = useSending();
  const unsent = subjects.has(`drill:${setId}`);
  const remote = useSetReview(setId, !unsent);
  const askDevice = unsent || remote.isError;
  const local = useQuery({
    queryKey: ['device', setId, waiting],
    queryFn: async () => replayLog(await actionsOf(setId)),
    enabled: askDevice,
  });
  const kept = local.data;
  const review = askDevice ? (kept ? fromRun(kept) : null) : (remote.data ?? null);
  const settled = askDevice && !local.isPending;
  return {
    review,
    error: settled && !review ? (remote.error ?? new Error(say('setNotOnThisDevice'))) : null,
    again: () => void remote.refetch(),
  };
}
