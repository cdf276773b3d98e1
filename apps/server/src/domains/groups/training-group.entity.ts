import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A squad: athletes who train together, in the coach's order. */
@Entity({ tableName: 'training_group' })
export class TrainingGroup extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  /** May contain ids of deleted athletes, which are left out when it is read. */
  @Property({ type: 'json' })
  athleteIds!: readonly string[];
}
