import { Entity, Property } from '@mikro-orm/core';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A pattern, whatever its version. */
@Entity({ tableName: 'pattern' })
export class PatternRow extends ClubOwned {
  @Property({ type: 'datetime', nullable: true })
  archivedAt!: Date | null;
}
