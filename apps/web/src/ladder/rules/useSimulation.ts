import { useWorking, type Working } from '../../parts/working/useWorking.js';
import type { RulesAnswer, RulesQuestion, WishAnswer, WishQuestion } from './simulate.js';

const begin = (): Worker =>
  new Worker(new URL('./simulate.worker.ts', import.meta.url), { type: 'module' });

/** Follows rules in a worker. */
export const useRules = (question: RulesQuestion | null): Working<RulesAnswer> =>
  useWorking<RulesAnswer>(begin, question);

/** Finds settings that keep a wish, in a worker. */
export const useWish = (question: WishQuestion): Working<WishAnswer> =>
  useWorking<WishAnswer>(begin, question);
