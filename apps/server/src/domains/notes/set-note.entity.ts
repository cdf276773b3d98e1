import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** What a coach wrote about a set. */
@Entity({ tableName: 'set_note' })
export class SetNote extends ClubOwned {
  @Property({ type: 'uuid' })
  setId!: string;

  @Property({ type: 'text' })
  text!: string;

  @Property({ type: 'text' })
  writtenBy!: string;

  @Property({ type: 'datetime' })
  writtenAt!: Date;

  /** Taken back then; it can be put back. */
  @Property({ type: 'datetime', nullable: true })
  removedAt!: Date | null;
}
