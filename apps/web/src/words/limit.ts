import {
  RECKONINGS,
  type CoachLimit,
  type LimitSource,
  type Reckoning,
} from '@orthokin/core/pattern';
import { percent, seconds, secondsWithUnit } from './format.js';
import { limit as en } from './en/limit.js';
import { speaker } from './say.js';

const say = speaker(en);

const RECKONED: Readonly<
  Record<Reckoning, (source: Extract<LimitSource, { kind: 'reckoned' }>) => string>
> = {
  'reaction to one': () => say('reactionToOne'),
  'reaction to a choice': ({ choices = 0, msPerBit = 0 }) =>
    say('reactionToAChoice', { choices, msPerBit }),
  'way home': () => say('wayHome'),
};

function reckoningWords(source: Extract<LimitSource, { kind: 'reckoned' }>): string {
  const known = RECKONINGS.find((reckoning) => reckoning === source.how);
  return known ? RECKONED[known](source) : source.how;
}

/** A limit; of targets with limits of their own the least and the largest. */
export const limitWords = (limitMs: number, range: readonly [number, number] | null): string =>
  range
    ? say('eachTargetsOwn', { least: seconds(range[0]), most: secondsWithUnit(range[1]) })
    : secondsWithUnit(limitMs);

/** The same, as short as can be: seconds without their unit. */
export const shortLimit = (limitMs: number, range: readonly [number, number] | null): string =>
  range ? `${seconds(range[0])}–${seconds(range[1])}` : seconds(limitMs);

/** How soon an event of the coach's own must come: "0.10 s before arriving". */
export const coachLimitWords = ({ from, limitMs }: Pick<CoachLimit, 'from' | 'limitMs'>): string =>
  say(limitMs < 0 ? 'eventBefore' : 'eventWithin', {
    from,
    time: secondsWithUnit(Math.abs(limitMs)),
  });

/** Where a limit comes from, in words. */
export function sourceWords(source: LimitSource | undefined): string {
  switch (source?.kind) {
    case 'budget':
      return say('factorBudgetmsThereFlight', {
        factor: percent(source.factor),
        budgetMs: secondsWithUnit(source.budgetMs),
        flight: source.flight,
      });
    case 'record':
      return say('factorTheirOwnRecordmsOverN', {
        factor: percent(source.factor),
        of: source.of,
        recordMs: secondsWithUnit(source.recordMs),
        n: source.n,
      });
    case 'own line':
      return say('factorOwnLine', {
        factor: percent(source.factor),
        lineMs: secondsWithUnit(source.lineMs),
        n: source.n,
      });
    case 'reckoned':
      return say('factorReckonedmsHow', {
        factor: percent(source.factor),
        reckonedMs: secondsWithUnit(source.reckonedMs),
        how: reckoningWords(source),
      });
    case 'coach':
      return say('coachsNumber');
    case undefined:
      return say('setWithoutSource');
  }
}
