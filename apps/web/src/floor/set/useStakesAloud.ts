import { useEffect, useRef } from 'react';
import { addedSoFar, hasTechniqueGone } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { planWords } from '../../sound/spoken.js';

/** Long enough for the sound to begin with its first syllable. */
const SOON_MS = 60;

const aloud = (...words: string[]): void => void planWords(words, performance.now() + SOON_MS);

/** Says aloud that a lost rep added more, and that the set is over because technique went. */
export function useStakesAloud(run: Run): void {
  const added = addedSoFar(run);
  const hasGone = run.state === 'complete' && hasTechniqueGone(run);
  const before = useRef(added);
  useEffect(() => {
    if (added > before.current) aloud(String(added - before.current), 'more');
    before.current = added;
  }, [added]);
  useEffect(() => {
    if (hasGone) aloud('stop', 'technique');
  }, [hasGone]);
}
