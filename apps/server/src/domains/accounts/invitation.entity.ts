import { Entity, Property } from '@mikro-orm/core';
import type { PersonRole } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A link that creates an account, lets an athlete's device in, or resets a password. */
@Entity({ tableName: 'invitation' })
export class Invitation extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  role!: PersonRole;

  @Property({ type: 'json' })
  athleteIds!: string[];

  /** The account whose password it resets. */
  @Property({ type: 'uuid', nullable: true })
  accountId!: string | null;

  /** A hash of the link's token; only the link's holder has the token itself. */
  @Property({ type: 'text' })
  tokenHash!: string;

  @Property({ type: 'datetime' })
  until!: Date;
}
