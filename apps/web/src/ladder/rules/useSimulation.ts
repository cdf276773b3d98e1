import { useWorking, type Working } from '../../parts/working/useWorking.js';
import type { RulesAnswer, RulesQuestion, WishAnswer, WishQuestion } from './simulate.js';

const begin = (): Worker =>
  new Worker(new URL('./simulate.worker.ts', import.meta.url), { type: 'module' });

/** Rules followed over simulated athletes, beside the page. */
export const useRules = (question: RulesQuestion | null): Working<RulesAnswer> =>
  useWorking<RulesAnswer>(begin, question);

/** Settings that keep a wish, looked for beside the page. */
export const useWish = (question: WishQuestion): Working<WishAnswer> =>
  useWorking<WishAnswer>(begin, question);
