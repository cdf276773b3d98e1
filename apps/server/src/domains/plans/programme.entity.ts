import { Entity, Property } from '@mikro-orm/core';
import type { ProgrammeWeekBody } from '@orthokin/contract';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A plan for several weeks of training. */
@Entity({ tableName: 'programme' })
export class ProgrammeRow extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'date' })
  startsOn!: string;

  /** May contain ids of deleted athletes, which are left out when it is read. */
  @Property({ type: 'json' })
  athleteIds!: readonly string[];

  @Property({ type: 'json' })
  weeks!: readonly ProgrammeWeekBody[];

  @Property({ type: 'int' })
  revision!: number;
}
