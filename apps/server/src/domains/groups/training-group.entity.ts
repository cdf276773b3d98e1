import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A squad: who trains together, in the coach's own order. */
@Entity({ tableName: 'training_group' })
export class TrainingGroup extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  /** May name athletes who are gone since: they are left out when it is read. */
  @Property({ type: 'json' })
  athleteIds!: readonly string[];
}
