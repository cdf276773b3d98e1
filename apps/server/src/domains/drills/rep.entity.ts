import { Entity, Property } from '@mikro-orm/core';
import type { Corrected } from '@orthokin/contract';
import type { Fault, RepMarks, TimedEvent } from '@orthokin/core/timing';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A repetition as recorded. Rows are only ever added: a correction names the row it replaces. */
@Entity({ tableName: 'rep' })
export class RepRow extends ClubOwned {
  @Property({ type: 'uuid' })
  setId!: string;

  @Property({ type: 'integer' })
  ordinal!: number;

  @Property({ type: 'text' })
  target!: string;

  @Property({ type: 'json' })
  events!: TimedEvent[];

  @Property({ type: 'json' })
  seenFaults!: Fault[];

  @Property({ type: 'boolean' })
  struckOut!: boolean;

  @Property({ type: 'json', nullable: true })
  marks!: RepMarks | null;

  @Property({ type: 'uuid', nullable: true })
  replaces!: string | null;

  /** Who corrected what stood here before, and when; `null` for what was recorded on the floor. */
  @Property({ type: 'json', nullable: true })
  corrected!: Corrected | null;
}
