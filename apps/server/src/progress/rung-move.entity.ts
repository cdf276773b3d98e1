import { Entity, PrimaryKey, PrimaryKeyProp, Property } from '@mikro-orm/core';
import type { MoveBasis } from '@orthokin/contract';

/** A step on the ladder. The athlete's rung is where the newest one led; rung 1 before any. */
@Entity({ tableName: 'rung_move' })
export class RungMove {
  [PrimaryKeyProp]?: ['clubId', 'id'];

  @PrimaryKey({ type: 'uuid' })
  clubId!: string;

  @PrimaryKey({ type: 'uuid' })
  id!: string;

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

  @Property({ type: 'uuid' })
  setId!: string;

  @Property({ type: 'datetime' })
  movedAt!: Date;
}
