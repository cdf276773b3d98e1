import { Entity, Property } from '@mikro-orm/core';
import type { HeldBlockBody } from '@orthokin/contract';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A session as it was held. */
@Entity({ tableName: 'held_session' })
export class HeldSession extends ClubOwned {
  /** Of a plan that may be gone since. */
  @Property({ type: 'uuid', nullable: true })
  planId!: string | null;

  @Property({ type: 'text' })
  name!: string;

  /** Calendar day where it was held, `YYYY-MM-DD`. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'datetime' })
  startedAt!: Date;

  @Property({ type: 'datetime' })
  endedAt!: Date;

  @Property({ type: 'json' })
  blocks!: readonly HeldBlockBody[];
}
