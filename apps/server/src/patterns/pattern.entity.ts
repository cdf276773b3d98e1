import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { Pattern } from '@orthokin/core/pattern';

/** A pattern as it was when sets were timed on it. A row never changes: an edit makes a new one. */
@Entity({ tableName: 'pattern' })
export class PatternRow {
  [PrimaryKeyProp]?: ['clubId', 'id'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  id!: string;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'json' })
  body!: Pattern;
}
