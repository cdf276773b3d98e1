import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** The public half of a passkey. */
@Entity({ tableName: 'passkey' })
export class Passkey extends ClubOwned {
  @Property({ type: 'uuid' })
  accountId!: string;

  @Property({ type: 'text' })
  name!: string;

  /** The credential's id, base64url; unique on the server. */
  @Property({ type: 'text' })
  credentialId!: string;

  /** The public key (COSE), base64url. */
  @Property({ type: 'text' })
  publicKey!: string;

  /** The authenticator's signature counter; most always report 0. */
  @Property({ type: 'double', columnType: 'bigint' })
  counter!: number;

  @Property({ type: 'datetime' })
  madeAt!: Date;
}
