import type { HeldSessionReply, ScoreBody } from '@orthokin/contract';
import { catcherAfter, winsOf, type Block } from '@orthokin/core/plan';
import type { Count, Reached } from '../../device/running-plan.js';

/** Changes somebody's count in a turn; never below zero. */
export function counted(
  counts: readonly Count[],
  { blockId, athleteId, turn }: Omit<Count, 'n'>,
  by: number,
): Count[] {
  const isIt = (one: Count): boolean =>
    one.blockId === blockId && one.athleteId === athleteId && one.turn === turn;
  const n = Math.max(0, (counts.find(isIt)?.n ?? 0) + by);
  return [...counts.filter((one) => !isIt(one)), { blockId, athleteId, turn, n }];
}

/**
 * What somebody reached in each block: the best of their turns, rounds won, their team's points, or the distance they
 * caught from, cm.
 */
export function scoresOf({ counts, games, teams, calls }: Reached, athleteId: string): ScoreBody[] {
  const best = new Map<string, number>();
  for (const { blockId, n } of counts.filter((one) => one.athleteId === athleteId))
    best.set(blockId, Math.max(best.get(blockId) ?? 0, n));
  for (const [blockId, { played, on }] of Object.entries(games)) {
    const own = winsOf([...played, on]).find((one) => one.athleteId === athleteId);
    if (own) best.set(blockId, own.wins);
  }
  for (const [blockId, all] of Object.entries(teams)) {
    const own = all.find(({ athleteIds }) => athleteIds.includes(athleteId));
    if (own) best.set(blockId, own.points);
  }
  for (const [blockId, all] of Object.entries(calls)) {
    const { tries, bestCm } = catcherAfter(athleteId, all);
    if (tries > 0) best.set(blockId, bestCm);
  }
  return [...best].map(([blockId, count]) => ({ blockId, count }));
}

/** The ids of blocks in which something was counted. */
export const countedIn = ({ counts, games, teams, calls }: Reached): ReadonlySet<string> =>
  new Set([
    ...counts.map(({ blockId }) => blockId),
    ...Object.keys({ ...games, ...teams, ...calls }),
  ]);

/** An athlete's earlier results in blocks of this kind and name: the best, and the last. */
export function reachedBefore(
  held: readonly HeldSessionReply[],
  { kind, title }: Pick<Block, 'kind' | 'title'>,
  athleteId: string,
): { readonly best: number; readonly last: number } | null {
  const counts = held.flatMap(({ blocks, attended }) => {
    const alike = new Set(
      blocks.filter((one) => one.kind === kind && one.title === title).map((one) => one.blockId),
    );
    const own = attended.find((one) => one.athleteId === athleteId)?.scores ?? [];
    return own.filter(({ blockId }) => alike.has(blockId)).map(({ count }) => count);
  });
  const [last] = counts;
  return last === undefined ? null : { best: Math.max(...counts), last };
}
