import type {
  AthleteLadderReply,
  DrillSetupReply,
  RungMoveBody,
  RungMoveReply,
  SquadLineReply,
} from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import { rungOf } from '@orthokin/core/pattern';
import { decide, decideHere, type Decision } from '@orthokin/core/progress';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { keepReply, keptReply } from '../device/kept-replies.js';
import type { Run } from '../drill/plan.js';
import { setBody } from '../drill/requests.js';
import { keys } from './keys.js';

/** This device's decision on a set the server does not have yet. */
export interface DecidedHere {
  readonly decision: Decision;
  /** Whether this ladder needs somebody's approval for each move up. */
  readonly onWord: boolean;
}

/**
 * Changes a stored reply.
 * @returns the changed reply, or `null` if none is stored
 */
async function amend<Reply>(path: string, change: (reply: Reply) => Reply): Promise<Reply | null> {
  const kept = await keptReply(path);
  if (!kept) return null;
  const amended = change(kept.reply as Reply);
  await keepReply(path, amended, kept.at);
  return amended;
}

interface Climb {
  readonly athleteId: string;
  readonly patternId: string;
}

const ladderPath = (clubId: string, climb: Climb): string =>
  pathOf(ROUTES.athleteLadder, { clubId, ...climb });

/** Decides on a set with the stored ladder, and adds it to that ladder's evidence. */
async function decided(client: QueryClient, { plan, recorded }: Run): Promise<DecidedHere | null> {
  const { clubId, id, startedAt } = plan;
  const climb = { athleteId: plan.athlete.id, patternId: plan.pattern.id };
  const path = ladderPath(clubId, climb);
  const ladder = (await keptReply(path))?.reply as AthleteLadderReply | undefined;
  if (!ladder) return null;
  const { rule, onWord = false } = ladder.settings;
  const set = { ...setBody({ plan }), id, pattern: plan.pattern, conditions: plan.conditions };
  const after = decideHere({ ...ladder, rule }, { ...set, limitsMs: plan.limitsMs }, recorded);
  if (!after) return null;
  const { decision } = after;
  const began = new Map(ladder.evidence.map((each) => [each.setId, each.startedAt]));
  const evidence = after.evidence.map((each) => ({
    ...{ ...each, startedAt: began.get(each.setId) ?? startedAt },
  }));
  const amended = await amend<AthleteLadderReply>(path, (reply) => ({
    ...{ ...reply, evidence, decision: { ...decision } },
  }));
  client.setQueryData(keys.athleteLadder(clubId, climb.patternId, climb.athleteId), amended);
  return { decision, onWord };
}

/** This device's decision on a set while the server is unreachable; `undefined` until it is worked out. */
export function useDecidedHere(run: Run, wanted: boolean): DecidedHere | null | undefined {
  const client = useQueryClient();
  const { data } = useQuery({
    // Striking out or redoing a rep may change the decision.
    queryKey: ['decided here', run.plan.id, run.recorded.length],
    queryFn: () => decided(client, run),
    enabled: wanted,
    networkMode: 'always',
  });
  return data;
}

/** Shows a move that has not been sent yet wherever the athlete's rung appears. */
export async function showMovedHere(
  client: QueryClient,
  clubId: string,
  moveId: string,
  { onDevice: _, ...body }: RungMoveBody,
): Promise<RungMoveReply> {
  const { athleteId, patternId, toRung } = body;
  const ladder = await amend<AthleteLadderReply>(
    ladderPath(clubId, { athleteId, patternId }),
    (reply) => movedOn(reply, { ...body, id: moveId, onDevice: true, decision: null }),
  );
  client.setQueryData(keys.athleteLadder(clubId, patternId, athleteId), ladder ?? undefined);
  const setupPath = pathOf(ROUTES.drillSetup, { clubId, athleteId });
  for (const path of [setupPath, `${setupPath}?pattern=${patternId}`])
    await amend<DrillSetupReply>(path, (reply) =>
      reply.pattern.id === patternId ? { ...reply, rung: toRung } : reply,
    );
  await client.invalidateQueries({ queryKey: keys.setups(clubId) });
  const squad = await amend<SquadLineReply[]>(pathOf(ROUTES.squad, { clubId }), (lines) =>
    lines.map((line) =>
      line.athlete.id === athleteId && line.patternId === patternId
        ? { ...line, rung: toRung, rungName: rungNameIn(ladder, toRung) ?? line.rungName }
        : line,
    ),
  );
  client.setQueryData(keys.squad(clubId), squad ?? undefined);
  return { ...body, id: moveId, onDevice: true, decision: null };
}

const rungNameIn = (ladder: AthleteLadderReply | null, rung: number): string | undefined =>
  ladder ? rungOf(ladder.pattern, rung)?.name : undefined;

/** A ladder after a move: the old rung's evidence is used up. */
function movedOn(ladder: AthleteLadderReply, move: RungMoveReply): AthleteLadderReply {
  const { pattern, settings, moves } = ladder;
  const rung = rungOf(pattern, move.toRung);
  if (!rung) return ladder;
  const next = rungOf(pattern, rung.number + 1) ?? null;
  const nothing = { sets: [], rung, hasRungBelow: rung.number > 1, next };
  return {
    ...{ ...ladder, rung: rung.number, evidence: [], moves: [...moves, move] },
    decision: { ...decide(nothing, settings.rule) },
  };
}
