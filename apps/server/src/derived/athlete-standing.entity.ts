import { Entity, Property } from '@mikro-orm/core';
import type { Standing } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/**
 * An athlete's standing on the squad page, cached for a day. A new rep deletes it; the next request works it out
 * again.
 */
@Entity({ tableName: 'athlete_standing' })
export class AthleteStanding extends ClubOwned {
  /** The last day (`YYYY-MM-DD`, UTC) of the weeks it covers. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  standing!: Standing;
}
