import { Entity, Property } from '@mikro-orm/core';
import type { BlockBody } from '@orthokin/contract';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A planned session. */
@Entity({ tableName: 'plan' })
export class Plan extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'text' })
  startsAt!: string;

  @Property({ type: 'int' })
  minutes!: number;

  /** May contain ids of deleted athletes, which are left out when it is read. */
  @Property({ type: 'json' })
  athleteIds!: readonly string[];

  @Property({ type: 'json' })
  blocks!: readonly BlockBody[];

  /** The programme it belongs to, which may have been deleted. */
  @Property({ type: 'uuid', nullable: true })
  programmeId!: string | null;

  @Property({ type: 'int' })
  revision!: number;
}
