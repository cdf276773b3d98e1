import type { EndReason, SetSource } from '@orthokin/core/run';
import { Entity, Property } from '@mikro-orm/core';
import type { Cue } from '@orthokin/core/cue';
import type { Conditions } from '@orthokin/core/drill';
import type { LimitsMs } from '@orthokin/core/pattern';
import { ClubOwned } from '../../platform/storage/club-owned.js';

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
  source!: SetSource;

  @Property({ type: 'datetime' })
  startedAt!: Date;

  /** The local calendar day, `YYYY-MM-DD`. */
  @Property({ type: 'date' })
  day!: string;

  @Property({ type: 'double', columnType: 'bigint' })
  seed!: number;

  @Property({ type: 'integer' })
  falseStartMs!: number;

  @Property({ type: 'integer' })
  responseLimitMs!: number;

  @Property({ type: 'json' })
  conditions!: Conditions;

  /** The athlete's own limits at the time; `null` if the rung's applied. */
  @Property({ type: 'json', nullable: true })
  limitsMs!: LimitsMs | null;

  @Property({ type: 'json' })
  cues!: Cue[];

  @Property({ type: 'datetime', nullable: true })
  endedAt!: Date | null;

  @Property({ type: 'text', nullable: true })
  endReason!: EndReason | null;
}
