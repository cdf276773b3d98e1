import { Entity, Property } from '@mikro-orm/core';
import type { Erasure } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** That an athlete was erased; who they were is what was erased. */
@Entity({ tableName: 'erasure' })
export class Erased extends ClubOwned {
  /** Nothing else has it any more; it tells whether a file or a backup has somebody who was erased. */
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'text' })
  how!: Erasure;

  @Property({ type: 'integer' })
  sets!: number;

  @Property({ type: 'integer' })
  reps!: number;

  @Property({ type: 'text' })
  erasedBy!: string;

  @Property({ type: 'datetime' })
  erasedAt!: Date;
}
