import { gameOf, type Block, type BlockKind, type GameForm } from './block.js';
import type { PlanRun, RunMoment } from './run.js';
import type { Session } from './session.js';

/** A block as it was run. */
export interface HeldBlock {
  /** Its id in the plan. */
  readonly blockId: string;
  readonly kind: BlockKind;
  readonly title: string;
  /** For a game. */
  readonly game?: GameForm | null;
  /** For a challenge: the number wanted. */
  readonly wanted?: number | null;
  /** Epoch ms. */
  readonly fromMs: number;
  readonly toMs: number;
}

/** A block that lasted less than this was only skipped through, ms. */
const PASSED_BY_MS = 10_000;
const MINUTE_MS = 60_000;

/** The moments of a run with their ends; the last continues until now. */
const spans = (log: readonly RunMoment[], nowMs: number) =>
  log.map((moment, i) => ({ ...moment, toMs: log[i + 1]?.atMs ?? nowMs }));

const asked = (block: Block) => {
  const { id: blockId, kind, title, wanted } = block;
  const game = gameOf(block);
  return {
    ...{ blockId, kind, title },
    ...(game && { game }),
    ...(wanted && { wanted }),
  };
};

/**
 * The blocks that were run, in order. A block restarted directly is one block; one skipped through is left out,
 * unless something was counted in it.
 * @param counted ids of blocks
 */
export function heldBlocks(
  { blocks }: Pick<Session, 'blocks'>,
  { log }: Pick<PlanRun, 'log'>,
  nowMs: number,
  counted: ReadonlySet<string> = new Set(),
): HeldBlock[] {
  const held: (HeldBlock & { place: number })[] = [];
  for (const { place, atMs, toMs } of spans(log, nowMs)) {
    const block = blocks[place];
    const last = held.at(-1);
    if (last?.place === place) held[held.length - 1] = { ...last, toMs };
    else if (block) {
      held.push({ ...{ place, ...asked(block) }, fromMs: atMs, toMs });
    }
  }
  return held
    .filter(({ blockId, fromMs, toMs }) => toMs - fromMs >= PASSED_BY_MS || counted.has(blockId))
    .map(({ place: _, ...block }) => block);
}

/** How long each athlete attended, in whole minutes, at least one; in the order they came. */
export function minutesHere(
  { blocks }: Pick<Session, 'blocks'>,
  { log }: Pick<PlanRun, 'log'>,
  nowMs: number,
): { readonly athleteId: string; readonly minutes: number }[] {
  const ms = new Map<string, number>();
  for (const { place, athleteIds, atMs, toMs } of spans(log, nowMs))
    if (place < blocks.length)
      for (const id of athleteIds) ms.set(id, (ms.get(id) ?? 0) + toMs - atMs);
  return [...ms].map(([athleteId, lasted]) => ({
    athleteId,
    minutes: Math.max(1, Math.round(lasted / MINUTE_MS)),
  }));
}
