import { Entity, Property } from '@mikro-orm/core';
import type { SelfCheck } from '@orthokin/core/plan';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** Practice without the coach. */
@Entity({ tableName: 'home_practice' })
export class HomePractice extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'int' })
  minutes!: number;

  @Property({ type: 'int', nullable: true })
  effort!: number | null;

  @Property({ type: 'text' })
  text!: string;

  @Property({ type: 'json', nullable: true })
  checks!: SelfCheck[] | null;

  @Property({ type: 'datetime' })
  writtenAt!: Date;

  @Property({ type: 'boolean' })
  removed!: boolean;
}
