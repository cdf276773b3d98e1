import type { DrillSetupReply } from '@orthokin/contract';
import { calledTargets, chainLength, guessRate, predictability } from '@orthokin/core/cue';
import { conditionsFor, scheduleFor, type DrillChoices } from './plan-drill.js';
import { percent } from '../../words/format.js';

/** Enough lists to know an order's habits by. */
const LISTS = 40;

/** How guessable the order is, and this very list, in a sentence with its numbers. */
export function guessableSentence(
  setup: DrillSetupReply,
  targets: readonly string[],
  choices: DrillChoices,
  seed: number,
): string {
  const { order, maxRun } = conditionsFor(setup, choices);
  if (order === 'called')
    return 'You call the targets; how guessable your calling was is said after the set.';
  if (targets.length < 2) return 'One target: there is nothing to choose, and nothing to guess.';
  const listOf = (own: number) => {
    const schedule = scheduleFor(setup, choices, own);
    return schedule.ok ? calledTargets(schedule.value) : [];
  };
  const lists = Array.from({ length: LISTS }, (_, i) => listOf((seed + 1 + i) >>> 0));
  const rate = guessRate(lists.slice(0, LISTS / 2), lists.slice(LISTS / 2));
  const { guessRateFromPrevious } = predictability(listOf(seed));
  const chained =
    order === 'chained'
      ? ` Every pair comes equally often after ${chainLength(targets.length, maxRun) + 1} cues.`
      : '';
  return `Who knows this order and guesses from the last cue is right ${percent(rate)} of the time, blind chance ${percent(1 / targets.length)}; who has learnt this very list, ${percent(guessRateFromPrevious)}.${chained}`;
}
