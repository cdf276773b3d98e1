import { useEffect, useRef } from 'react';
import { addedSoFar, hasTechniqueGone } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { planWords } from '../../sound/spoken.js';

/** Enough notice for the sound to begin with its first syllable. */
const SOON_MS = 60;

const aloud = (...words: string[]): void => void planWords(words, performance.now() + SOON_MS);

/** Announces that a lost rep added more, and that failing technique has ended the set. */
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
