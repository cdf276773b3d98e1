import { Entity, Property } from '@mikro-orm/core';
import type { PrivateMatter, Role, TrailDeed } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** Somebody signed in saw or changed something private: one entry per day and device. */
@Entity({ tableName: 'trail_entry' })
export class TrailEntry extends ClubOwned {
  /** `null`: everybody's at once. */
  @Property({ type: 'uuid', nullable: true })
  athleteId!: string | null;

  /** The server's calendar day, UTC. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'uuid' })
  deviceId!: string;

  /** The name at that time: the account may since have been renamed or deleted. */
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  role!: Role;

  @Property({ type: 'text' })
  matter!: PrivateMatter;

  @Property({ type: 'text' })
  deed!: TrailDeed;

  @Property({ type: 'integer' })
  times!: number;

  @Property({ type: 'datetime' })
  lastAt!: Date;
}
