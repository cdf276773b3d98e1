import { Entity, Property } from '@mikro-orm/core';
import type { PrivateMatter, Role, TrailDeed } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** That somebody who is signed in saw or changed something private: an entry a day and device. */
@Entity({ tableName: 'trail_entry' })
export class TrailEntry extends ClubOwned {
  /** `null` of everybody at once. */
  @Property({ type: 'uuid', nullable: true })
  athleteId!: string | null;

  /** Calendar day of the server, in UTC. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'uuid' })
  deviceId!: string;

  /** As it was then: an account may be gone, or called anew. */
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
