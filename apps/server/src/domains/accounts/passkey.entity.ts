import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A key that a device keeps and somebody signs in by; here is only what it is known by. */
@Entity({ tableName: 'passkey' })
export class Passkey extends ClubOwned {
  @Property({ type: 'uuid' })
  accountId!: string;

  @Property({ type: 'text' })
  name!: string;

  /** As base64url; no two of a server are the same. */
  @Property({ type: 'text' })
  credentialId!: string;

  /** COSE key, as base64url. */
  @Property({ type: 'text' })
  publicKey!: string;

  /** How often the device says it has signed; most say 0 for ever. */
  @Property({ type: 'double', columnType: 'bigint' })
  counter!: number;

  @Property({ type: 'datetime' })
  madeAt!: Date;
}
