/** A recorded step on the ladder. */
export interface LadderMove {
  readonly toRung: number;
  /** `undo` takes back the move before it. */
  readonly basis: 'rule' | 'undo';
  readonly movedAt: Date;
}

export interface LadderPlace<Move extends LadderMove> {
  readonly rung: number;
  /** The move that led here; `null` on the first rung before any. */
  readonly by: Move | null;
}

/**
 * Where an athlete stands after these moves, oldest first. A move taken back leaves no trace: the
 * evidence gathered on the rung before it counts again.
 */
export function ladderPlace<Move extends LadderMove>(moves: readonly Move[]): LadderPlace<Move> {
  const kept: Move[] = [];
  for (const move of moves) {
    if (move.basis === 'undo') kept.pop();
    else kept.push(move);
  }
  const by = kept.at(-1) ?? null;
  return { rung: by?.toRung ?? 1, by };
}
