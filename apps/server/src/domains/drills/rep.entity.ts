import { Entity, Property } from '@mikro-orm/core';
import type { Corrected } from '@orthokin/contract';
import type { Fault, RepMarks, TimedEvent } from '@orthokin/core/timing';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A recorded repetition. Rows are only added: a correction refers to the row it replaces. */
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

  /** Who corrected the replaced row, and when; `null` for a rep recorded on the floor. */
  @Property({ type: 'json', nullable: true })
  corrected!: Corrected | null;
}
