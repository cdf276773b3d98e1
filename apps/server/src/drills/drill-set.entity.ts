import { Entity, Property } from '@mikro-orm/core';
import type { EndReason } from '@orthokin/contract';
import type { Cue } from '@orthokin/core/cue';
import type { TimingSource } from '@orthokin/core/timing';
import { ClubOwned } from '../storage/club-owned.js';

@Entity({ tableName: 'drill_set' })
export class DrillSet extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'integer' })
  patternVersion!: number;

  @Property({ type: 'integer' })
  rung!: number;

  @Property({ type: 'text' })
  source!: TimingSource;

  @Property({ type: 'datetime' })
  startedAt!: Date;

  /** Calendar day where the set was run, `YYYY-MM-DD`. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'double', columnType: 'bigint' })
  seed!: number;

  @Property({ type: 'integer' })
  falseStartMs!: number;

  @Property({ type: 'integer' })
  responseLimitMs!: number;

  @Property({ type: 'json' })
  cues!: Cue[];

  @Property({ type: 'datetime', nullable: true })
  endedAt!: Date | null;

  @Property({ type: 'text', nullable: true })
  endReason!: EndReason | null;
}
