import { Entity, Property } from '@mikro-orm/core';
import type { PersonRole } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** Somebody who signs in with a password of their own. */
@Entity({ tableName: 'account' })
export class Account extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  /** In small letters; no two accounts of a server have the same. */
  @Property({ type: 'text' })
  email!: string;

  @Property({ type: 'text' })
  role!: PersonRole;

  /** Whose things an athlete's account sees. */
  @Property({ type: 'json' })
  athleteIds!: string[];

  /** Argon2id, with its salt and its cost in it. */
  @Property({ type: 'text' })
  passwordHash!: string;

  @Property({ type: 'datetime' })
  madeAt!: Date;
}
