import type { Block } from '@orthokin/core/plan';

/** What is needed to say of a block who does it. */
export interface OfBlock {
  readonly block: Block;
  /** Who comes to the session. */
  readonly athleteIds: readonly string[];
  readonly nameOf: (athleteId: string) => string;
}
