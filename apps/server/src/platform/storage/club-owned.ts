import { PrimaryKey, PrimaryKeyProp } from '@mikro-orm/core';

/** Base of every club-owned row: the primary key is the club's id, then the row's own id (a UUIDv7). */
export abstract class ClubOwned {
  [PrimaryKeyProp]?: ['clubId', 'id'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  id!: string;
}
