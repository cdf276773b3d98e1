import { useWorking, type Working } from '../../parts/working/useWorking.js';
import type { Answers, Sum } from './sums.js';

const begin = (): Worker =>
  new Worker(new URL('./sums.worker.ts', import.meta.url), { type: 'module' });

/** Runs a long calculation of the review in a worker. */
export const useSum = <Kind extends Sum['kind']>(
  sum: Extract<Sum, { kind: Kind }> | null,
): Working<Answers[Kind]> => useWorking<Answers[Kind]>(begin, sum);
