import { Entity, Property } from '@mikro-orm/core';
import type { PersonRole } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A person with a password. */
@Entity({ tableName: 'account' })
export class Account extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  /** In lower case; unique on the server. */
  @Property({ type: 'text' })
  email!: string;

  @Property({ type: 'text' })
  role!: PersonRole;

  /** The athletes an athlete's or guardian's account may see. */
  @Property({ type: 'json' })
  athleteIds!: string[];

  /** An Argon2id hash in PHC format, which includes salt and cost. */
  @Property({ type: 'text' })
  passwordHash!: string;

  @Property({ type: 'datetime' })
  madeAt!: Date;
}
