/**
 * Why a rung was changed or kept: `rule`, the answer was followed · `overrule`, it was not, with a
 * reason · `hand`, the coach moved the athlete · `undo` takes back the move before it.
 */
export const MOVE_BASES = ['rule', 'overrule', 'hand', 'undo'] as const;
export type MoveBasis = (typeof MOVE_BASES)[number];

/** A recorded step on the ladder. */
export interface LadderMove {
  /** The rung itself when the coach keeps the athlete on it: what was shown so far is then used up. */
  readonly toRung: number;
  readonly basis: MoveBasis;
}

/** Where an athlete stands on a ladder, and the moves that still stand. */
export interface LadderPlace<Move extends LadderMove> {
  readonly rung: number;
  /** The move that led here; `null` on the first rung before any. */
  readonly by: Move | null;
}

/** The moves that stand, of moves oldest first: none that was taken back, nor the taking back. */
export function standingMoves<Move extends LadderMove>(moves: readonly Move[]): Move[] {
  const kept: Move[] = [];
  for (const move of moves) {
    if (move.basis === 'undo') kept.pop();
    else kept.push(move);
  }
  return kept;
}

/**
 * Where an athlete stands after these moves, oldest first. A move taken back leaves no trace: the
 * evidence gathered on the rung before it counts again.
 */
export function ladderPlace<Move extends LadderMove>(moves: readonly Move[]): LadderPlace<Move> {
  const by = standingMoves(moves).at(-1) ?? null;
  return { rung: by?.toRung ?? 1, by };
}
