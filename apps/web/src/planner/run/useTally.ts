import type { Block } from '@orthokin/core/plan';
import type { useRunningPlan } from './useRunningPlan.js';
import { useBoardKeys } from './useBoardKeys.js';

/** Counts in the current turn of a block with scores; the keys 1, 2, … count as well. */
export function useTally(
  { running, now, count }: Pick<ReturnType<typeof useRunningPlan>, 'running' | 'now' | 'count'>,
  block: Block | undefined,
) {
  const turnOf = (athleteId: string) => ({
    ...{ blockId: block?.id ?? '', athleteId, turn: now.roundPlace },
  });
  const add = (athleteId: string, by: number) => count(turnOf(athleteId), by);
  useBoardKeys((key) => {
    const station = block?.kind === 'challenge' && now.round?.stations[Number(key) - 1];
    if (station) add(station.works, 1);
  });
  return {
    add,
    of: (athleteId: string): number =>
      running.counts.find(
        (one) =>
          one.blockId === block?.id && one.athleteId === athleteId && one.turn === now.roundPlace,
      )?.n ?? 0,
  };
}
