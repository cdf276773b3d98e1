import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A coach's note on a set. */
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

  /** When it was withdrawn; `null` if it stands. */
  @Property({ type: 'datetime', nullable: true })
  removedAt!: Date | null;
}
