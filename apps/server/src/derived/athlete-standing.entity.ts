import { Entity, Property } from '@mikro-orm/core';
import type { Standing } from '@orthokin/core/stats';
import { ClubOwned } from '../platform/storage/club-owned.js';

/**
 * How an athlete stands on the squad's page, kept under the athlete's id for one day. A rep that
 * comes takes it away, and whoever asks next works it out anew.
 */
@Entity({ tableName: 'athlete_standing' })
export class AthleteStanding extends ClubOwned {
  /** The weeks looked back on end with this day, `YYYY-MM-DD`, UTC. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'json' })
  standing!: Standing;
}
