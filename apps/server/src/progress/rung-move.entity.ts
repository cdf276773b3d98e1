import { Entity, Property } from '@mikro-orm/core';
import type { Decision, MoveBasis } from '@orthokin/core/progress';
import { ClubOwned } from '../storage/club-owned.js';

/** A step on the ladder. The athlete's rung is where the newest one led; rung 1 before any. */
@Entity({ tableName: 'rung_move' })
export class RungMove extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'integer' })
  fromRung!: number;

  @Property({ type: 'integer' })
  toRung!: number;

  @Property({ type: 'text' })
  basis!: MoveBasis;

  @Property({ type: 'uuid', nullable: true })
  setId!: string | null;

  @Property({ type: 'text', nullable: true })
  reason!: string | null;

  /** What was followed or overruled: evidence, rule and version, as they were. */
  @Property({ type: 'json', nullable: true })
  decision!: Decision | null;

  @Property({ type: 'datetime' })
  movedAt!: Date;
}
