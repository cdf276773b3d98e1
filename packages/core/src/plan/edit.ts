import type { Block } from './block.js';

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
