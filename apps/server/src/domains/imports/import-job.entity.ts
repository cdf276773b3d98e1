import { Entity, Property } from '@mikro-orm/core';
import type { ImportBody, ImportState } from '@orthokin/contract';
import type { Problem } from '@orthokin/core/result';
import { ClubOwned } from '../../platform/storage/club-owned.js';
import { Packed } from '../../platform/storage/packed.js';

/** An import of sets. The request's body is kept until all sets are stored. */
@Entity({ tableName: 'import_job' })
export class ImportJob extends ClubOwned {
  @Property({ type: Packed })
  body!: ImportBody['sets'];

  @Property({ type: 'integer' })
  sets!: number;

  @Property({ type: 'integer' })
  reps!: number;

  /** How many sets are stored. */
  @Property({ type: 'integer' })
  done!: number;

  @Property({ type: 'text' })
  state!: ImportState;

  @Property({ type: 'json' })
  problems!: Problem[];
}
