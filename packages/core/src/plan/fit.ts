import { BLOCK_BOUNDS, trainedBy, type Block, type Trained } from './block.js';
import { placed, type Session } from './session.js';

/** What gives first when time is short; warming up, calming down and anybody's rest never do. */
const GIVES: readonly Trained[] = ['conditioning', 'play', 'feet', 'reaction'];

const secondsOf = (session: Pick<Session, 'blocks' | 'athleteIds'>): number =>
  placed(session).at(-1)?.toS ?? 0;

/** A block that takes a minute less, or a set less of each; `null` where nothing is left to give. */
function shorter(block: Block): Block | null {
  if (block.how === 'turns')
    return block.sets > BLOCK_BOUNDS.sets[0] ? { ...block, sets: block.sets - 1 } : null;
  return block.minutes > BLOCK_BOUNDS.minutes[0] ? { ...block, minutes: block.minutes - 1 } : null;
}

/**
 * The blocks of a session shortened until it fits its time, as far as that goes: a minute or a set at a
 * time, from the longest block of what gives first. Each keeps at least half of what it had.
 */
export function fitted(session: Session): Block[] {
  let blocks = [...session.blocks];
  const asked = new Map(session.blocks.map((block) => [block.id, block]));
  const isHalved = (block: Block): boolean => {
    const whole = asked.get(block.id) ?? block;
    return block.how === 'turns'
      ? 2 * (block.sets - 1) < whole.sets
      : 2 * (block.minutes - 1) < whole.minutes;
  };
  for (const trained of GIVES)
    while (secondsOf({ ...session, blocks }) > 60 * session.minutes) {
      const [longest] = placed({ ...session, blocks })
        .filter(({ block }) => trainedBy(block.kind) === trained && !isHalved(block))
        .sort((a, b) => b.toS - b.fromS - (a.toS - a.fromS));
      const less = longest && shorter(longest.block);
      if (!less) break;
      blocks = blocks.map((block) => (block.id === less.id ? less : block));
    }
  return blocks;
}
