import { MAX_SEED } from '@orthokin/core/cue';
import { useState } from 'react';
import { useSearchParams } from 'react-router';

/** The seed in the address, to run a set exactly as before; otherwise a new one. */
export function useSeed(): number {
  const [params] = useSearchParams();
  const [drawn] = useState(() => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1);
  const given = Number(params.get('seed') ?? NaN);
  return Number.isInteger(given) && given >= 0 && given <= MAX_SEED ? given : drawn;
}
