import type { Block } from './block.js';

/** The blocks with one replaced by others: changed, copied, split, or by none at all. */
export const replaced = (
  blocks: readonly Block[],
  id: string,
  by: (block: Block) => readonly Block[],
): Block[] => blocks.flatMap((block) => (block.id === id ? by(block) : [block]));

/** A block in two, one after the other, so that something may come between; whole where it is a minute. */
export function halved(block: Block, newId: string): Block[] {
  const first = Math.ceil(block.minutes / 2);
  const second = block.minutes - first;
  return second === 0
    ? [block]
    : [
        { ...block, minutes: first },
        { ...block, id: newId, minutes: second },
      ];
}
