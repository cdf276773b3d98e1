import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { Decision, Evidence, MoveBasis } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A move on a ladder. The newest move determines an athlete's rung; without one it is rung 1. */
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

  /** The decision that was followed or overruled: its answer, rule and version at the time. */
  @Property({ type: 'json', nullable: true })
  decision!: Decision | null;

  /** The decision's inputs: judging them again gives the same decision. */
  @Property({ type: 'json', nullable: true })
  evidence!: Evidence | null;

  /** The account that made the move; `null` if nobody was signed in. */
  @Property({ type: 'text', nullable: true })
  movedBy!: string | null;

  /** Made offline, on the evidence that device had. */
  @Property({ type: 'boolean' })
  onDevice: boolean & Opt = false;

  @Property({ type: 'datetime' })
  movedAt!: Date;

  /** The order in which the server accepted them; device clocks may disagree. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
