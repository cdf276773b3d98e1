import type { HeldSessionReply, PlanReply } from '@orthokin/contract';
import { heldBlocks, minutesHere, SESSION_MINUTES } from '@orthokin/core/plan';
import { localDay } from '../../device/local-day.js';
import type { Running } from '../../device/running-plan.js';
import { countedIn, scoresOf } from './scores.js';

/** A run as a held session, before anybody was asked about effort. */
export function heldSessionOf(
  plan: PlanReply,
  { sessionId, run, ...reached }: Running,
  nowMs: number,
): HeldSessionReply {
  const startMs = run.log[0]?.atMs ?? nowMs;
  const last = run.log.at(-1);
  // Time spent answering the question afterwards is not part of the session.
  const endMs = last && last.place >= plan.blocks.length ? last.atMs : nowMs;
  const iso = (ms: number): string => new Date(ms).toISOString();
  return {
    ...{ id: sessionId, planId: plan.id, name: plan.name, day: localDay(new Date(startMs)) },
    ...{ startedAt: iso(startMs), endedAt: iso(endMs) },
    blocks: heldBlocks(plan, run, endMs, countedIn(reached)).map(({ fromMs, toMs, ...block }) => ({
      ...block,
      ...{ startedAt: iso(fromMs), endedAt: iso(toMs) },
    })),
    attended: minutesHere(plan, run, endMs).map(({ athleteId, minutes }) => ({
      athleteId,
      minutes: Math.min(minutes, SESSION_MINUTES[1]),
      effort: null,
      scores: scoresOf(reached, athleteId),
    })),
  };
}
