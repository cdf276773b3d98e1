import { Entity, Property } from '@mikro-orm/core';
import type { PersonRole } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A link that makes an account, lets an athlete's device in, or sets a password anew. */
@Entity({ tableName: 'invitation' })
export class Invitation extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  role!: PersonRole;

  @Property({ type: 'json' })
  athleteIds!: string[];

  /** The account whose password it sets anew. */
  @Property({ type: 'uuid', nullable: true })
  accountId!: string | null;

  /** Of the token in its link, which nobody but its holder has. */
  @Property({ type: 'text' })
  tokenHash!: string;

  @Property({ type: 'datetime' })
  until!: Date;
}
