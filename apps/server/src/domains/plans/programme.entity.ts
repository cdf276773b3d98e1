import { Entity, Property } from '@mikro-orm/core';
import type { ProgrammeWeekBody } from '@orthokin/contract';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** Training over weeks as it is planned. */
@Entity({ tableName: 'programme' })
export class ProgrammeRow extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'date' })
  startsOn!: string;

  /** May name athletes who are gone since: they are left out when it is read. */
  @Property({ type: 'json' })
  athleteIds!: readonly string[];

  @Property({ type: 'json' })
  weeks!: readonly ProgrammeWeekBody[];

  @Property({ type: 'int' })
  revision!: number;
}
