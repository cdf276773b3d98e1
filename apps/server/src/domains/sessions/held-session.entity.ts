import { Entity, Property } from '@mikro-orm/core';
import type { HeldBlockBody } from '@orthokin/contract';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A session that took place. */
@Entity({ tableName: 'held_session' })
export class HeldSession extends ClubOwned {
  /** The plan it followed, which may have been deleted. */
  @Property({ type: 'uuid', nullable: true })
  planId!: string | null;

  @Property({ type: 'text' })
  name!: string;

  /** The local calendar day, `YYYY-MM-DD`. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'datetime' })
  startedAt!: Date;

  @Property({ type: 'datetime' })
  endedAt!: Date;

  @Property({ type: 'json' })
  blocks!: readonly HeldBlockBody[];
}
