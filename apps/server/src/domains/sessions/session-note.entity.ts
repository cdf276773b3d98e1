import { Entity, Property } from '@mikro-orm/core';
import type { Fault } from '@orthokin/core/timing';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** An observation during a session. */
@Entity({ tableName: 'session_note' })
export class SessionNote extends ClubOwned {
  /** The session may not exist yet: it is sent when it is over. */
  @Property({ type: 'uuid' })
  sessionId!: string;

  @Property({ type: 'date' })
  day!: string;

  /** `null`: about everybody. */
  @Property({ type: 'uuid', nullable: true })
  athleteId!: string | null;

  @Property({ type: 'text', nullable: true })
  fault!: Fault | null;

  @Property({ type: 'text' })
  text!: string;

  @Property({ type: 'text' })
  writtenBy!: string;

  @Property({ type: 'datetime' })
  writtenAt!: Date;

  @Property({ type: 'boolean' })
  removed!: boolean;
}
