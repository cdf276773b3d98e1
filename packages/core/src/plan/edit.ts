import type { Block } from './block.js';

/** Replaces a block by any number of others. */
export const replaced = (
  blocks: readonly Block[],
  id: string,
  by: (block: Block) => readonly Block[],
): Block[] => blocks.flatMap((block) => (block.id === id ? by(block) : [block]));

/** Divides a block into two; a block of a minute stays whole. */
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
