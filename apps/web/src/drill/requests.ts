import type { ConditionsBody, DrillSetBody, SetEndBody } from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import type { Outgoing, Subject } from '../device/store.js';
import type { Action, Run } from './plan.js';

/** The request that creates the set. */
export const setBody = ({ plan }: Pick<Run, 'plan'>): DrillSetBody => ({
  athleteId: plan.athlete.id,
  patternId: plan.pattern.id,
  patternVersion: plan.pattern.version,
  rung: plan.rung,
  source: plan.source,
  startedAt: plan.startedAt,
  day: plan.day,
  seed: plan.seed,
  falseStartMs: plan.falseStartMs,
  responseLimitMs: plan.responseLimitMs,
  conditions: plan.conditions as ConditionsBody,
  limitsMs: plan.limitsMs,
  cues: [...plan.cues],
});

/**
 * The requests that follow from a run's change. A set is only sent once it has a finished rep: otherwise the
 * athlete's history would contain an empty set.
 */
export function outgoing(before: Run | null, after: Run, action: Action): Outgoing[] {
  const { id: drillId, clubId } = after.plan;
  const path = pathOf(ROUTES.recordSet, { clubId, setId: drillId });
  const subject: Subject = `drill:${drillId}`;
  const items: Outgoing[] = after.recorded
    .slice(before?.recorded.length ?? 0)
    .map(({ id, ...body }) => ({ subject, method: 'PUT', path: `${path}/reps/${id}`, body }));
  if (items.length > 0 && (before?.recorded.length ?? 0) === 0)
    items.unshift({ subject, method: 'PUT', path, body: setBody(after) });
  if (action.type === 'ended' && before?.state !== 'ended' && after.recorded.length > 0) {
    const body: SetEndBody = { endedAt: action.at, reason: after.endReason ?? 'stopped early' };
    items.push({ subject, method: 'PUT', path: `${path}/end`, body });
  }
  return items;
}
