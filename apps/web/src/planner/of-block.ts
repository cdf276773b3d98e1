import type { Block } from '@orthokin/core/plan';

/** What is needed to say who does a block. */
export interface OfBlock {
  readonly block: Block;
  /** Who attends the session. */
  readonly athleteIds: readonly string[];
  readonly nameOf: (athleteId: string) => string;
}
