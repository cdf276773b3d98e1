import { kitOfAll, kitOfBlock, type Block, type Kit } from '@orthokin/core/plan';
import { useLibrary } from '../api/patterns.js';
import { useSquad } from '../api/squad.js';

/** What a session needs on the floor; `null` until the patterns are loaded. */
export function useKit(blocks: readonly Block[], athleteIds: readonly string[]): Kit | null {
  const library = useLibrary();
  const squad = useSquad();
  if (!library.data || !squad.data) return null;
  const patterns = new Map(library.data.map(({ id, pattern }) => [id, pattern]));
  const own = new Map(squad.data.map(({ athlete, patternId }) => [athlete.id, patternId]));
  return kitOfAll(
    blocks.map((block) =>
      kitOfBlock(block, athleteIds, (id) => patterns.get(block.patternId ?? own.get(id) ?? '')),
    ),
  );
}
