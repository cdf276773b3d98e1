/**
 * Why a rung was changed or kept: `rule`, the answer was followed · `overrule`, it was not, with a
 * reason · `hand`, the coach moved the athlete · `undo` takes back the move before it.
 */
export const MOVE_BASES = ['rule', 'overrule', 'hand', 'undo'] as const;
export type MoveBasis = (typeof MOVE_BASES)[number];

/** A recorded move on a ladder. */
export interface LadderMove {
  /** The same rung if the coach keeps the athlete there, which uses up the evidence so far. */
  readonly toRung: number;
  readonly basis: MoveBasis;
}

/** An athlete's place on a ladder, and the moves that led there. */
export interface LadderPlace<Move extends LadderMove> {
  readonly rung: number;
  /** The move that led here; `null` if there was none. */
  readonly by: Move | null;
}

/** Moves, oldest first, without undone ones and their undos. */
export function standingMoves<Move extends LadderMove>(moves: readonly Move[]): Move[] {
  const kept: Move[] = [];
  for (const move of moves) {
    if (move.basis === 'undo') kept.pop();
    else kept.push(move);
  }
  return kept;
}

/** The place after some moves, oldest first. An undone move leaves no trace: evidence from before it counts again. */
export function ladderPlace<Move extends LadderMove>(moves: readonly Move[]): LadderPlace<Move> {
  const by = standingMoves(moves).at(-1) ?? null;
  return { rung: by?.toRung ?? 1, by };
}
