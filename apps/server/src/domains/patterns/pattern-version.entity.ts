import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { Pattern } from '@orthokin/core/pattern';

/** A saved version of a pattern. Rows never change, so sets keep the version they were timed on. */
@Entity({ tableName: 'pattern_version' })
export class PatternVersion {
  [PrimaryKeyProp]?: ['clubId', 'patternId', 'version'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  patternId!: string;

  @PrimaryKey({ type: 'integer' })
  version!: number;

  @Property({ type: 'json' })
  body!: Pattern;

  @Property({ type: 'datetime' })
  savedAt!: Date;
}
