import { PrimaryKey, PrimaryKeyProp } from '@mikro-orm/core';

/** What every row of a club's has: the club leads its key, its own id (a UUIDv7) follows. */
export abstract class ClubOwned {
  [PrimaryKeyProp]?: ['clubId', 'id'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  id!: string;
}
