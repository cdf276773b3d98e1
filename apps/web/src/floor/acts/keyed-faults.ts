import type { Fault } from '@orthokin/core/timing';
import type { Run } from '../../drill/plan.js';

/**
 * Faults with a key in this set: the watched ones, short of home, and, if lost reps have a price, those only an eye
 * can see.
 */
export const keyedFaults = ({ plan: { conditions } }: Run): Fault[] => [
  ...new Set<Fault>([
    ...conditions.watched,
    'short of home',
    ...(conditions.lossCost ? (['wrong way'] as const) : []),
  ]),
];
