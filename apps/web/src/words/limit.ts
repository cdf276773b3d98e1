import type { LimitSource } from '@orthokin/core/pattern';
import { percent, secondsWithUnit } from './format.js';

/** Where a limit comes from, in words. */
export function sourceWords(source: LimitSource | undefined): string {
  switch (source?.kind) {
    case 'budget':
      return `${percent(source.factor)} of the ${secondsWithUnit(source.budgetMs)} there are: ${source.flight}`;
    case 'record':
      return `${percent(source.factor)} of their own ${source.of} of ${secondsWithUnit(source.recordMs)}, over ${source.n} reps`;
    case 'reckoned':
      return `${percent(source.factor)} of ${secondsWithUnit(source.reckonedMs)}: ${source.how}`;
    case 'coach':
      return 'the coach’s number';
    case undefined:
      return 'set without a source';
  }
}
