import type { Fault } from '@orthokin/core/timing';
import type { Run } from '../../drill/plan.js';

/**
 * Faults that have a key in this set: those watched for, turning round short of home, and what only
 * an eye sees of a lost rep where one has its price.
 */
export const keyedFaults = ({ plan: { conditions } }: Run): Fault[] => [
  ...new Set<Fault>([
    ...conditions.watched,
    'short of home',
    ...(conditions.lossCost ? (['wrong way'] as const) : []),
  ]),
];
