import { Entity, Property } from '@mikro-orm/core';
import type { Pattern } from '@orthokin/core/pattern';
import { ClubOwned } from '../storage/club-owned.js';

/** A pattern as it was when sets were timed on it. A row never changes: an edit makes a new one. */
@Entity({ tableName: 'pattern' })
export class PatternRow extends ClubOwned {
  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'json' })
  body!: Pattern;
}
