import type { DrillSetupReply } from '@orthokin/contract';
import { calledTargets, chainLength, guessRate, predictability } from '@orthokin/core/cue';
import { conditionsFor, scheduleFor, type DrillChoices } from '../plan-drill.js';
import { percent } from '../../words/format.js';
import { say } from '../../words/floor.js';

/** Enough sample lists to estimate how predictable an order is. */
const LISTS = 40;

/** How predictable the order is, and this very list, as a sentence. */
export function guessableSentence(
  setup: DrillSetupReply,
  targets: readonly string[],
  choices: DrillChoices,
  seed: number,
): string {
  const { order, maxRun } = conditionsFor(setup, choices);
  if (order === 'called') return say('youCallTargetsHowGuessableYour');
  if (targets.length < 2) return say('oneTargetThereNothingChooseNothing');
  const listOf = (own: number) => {
    const schedule = scheduleFor(setup, choices, own);
    return schedule.ok ? calledTargets(schedule.value) : [];
  };
  const lists = Array.from({ length: LISTS }, (_, i) => listOf((seed + 1 + i) >>> 0));
  const rate = guessRate(lists.slice(0, LISTS / 2), lists.slice(LISTS / 2));
  const { guessRateFromPrevious } = predictability(listOf(seed));
  const chained =
    order === 'chained'
      ? say('everyPairComesEquallyOftenAfter', {
          chainLength: chainLength(targets.length, maxRun) + 1,
        })
      : '';
  return say('whoKnowsThisOrderGuessesFrom', {
    rate: percent(rate),
    targets: percent(1 / targets.length),
    guessRateFromPrevious: percent(guessRateFromPrevious),
    chained,
  });
}
