import { trainedBy, type Block, type Trained } from './block.js';
import { replaced } from './edit.js';
import { overTime, placed, type Session } from './session.js';

/** What is shortened first when time is short; warm-up, cool-down and rest never are. */
const GIVES: readonly Trained[] = ['conditioning', 'play', 'feet', 'reaction'];

/** The unit a block is shortened by: a set per athlete in turns, or a minute. */
const sizeOf = ({ how }: Block): 'sets' | 'minutes' => (how === 'turns' ? 'sets' : 'minutes');

/**
 * The blocks of a session shortened until it fits its time, as far as that goes: a minute or a set at a
 * time, from the longest block of what gives first. Each keeps at least half of what it had.
 */
export function fitted(session: Session): Block[] {
  let blocks = [...session.blocks];
  const asked = new Map(session.blocks.map((block) => [block.id, block[sizeOf(block)]]));
  const canGive = (block: Block): boolean =>
    2 * (block[sizeOf(block)] - 1) >= (asked.get(block.id) ?? Infinity);
  for (const trained of GIVES)
    for (;;) {
      const all = placed({ ...session, blocks });
      if (overTime(session, all) <= 0) return blocks;
      const [longest] = all
        .filter(({ block }) => trainedBy(block.kind) === trained && canGive(block))
        .sort((one, other) => other.toS - other.fromS - (one.toS - one.fromS));
      if (!longest) break;
      const size = sizeOf(longest.block);
      blocks = replaced(blocks, longest.block.id, (block) => [
        { ...block, [size]: block[size] - 1 },
      ]);
    }
  return blocks;
}
