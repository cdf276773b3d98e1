import { Entity, Property } from '@mikro-orm/core';
import type { Erasure } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** The fact that an athlete was erased, without who it was. */
@Entity({ tableName: 'erasure' })
export class Erased extends ClubOwned {
  /**
   * The erased athlete's id, which is stored nowhere else. It shows whether a file or a backup still contains them.
   */
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
