import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { Decision, Evidence, MoveBasis } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

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

  /** What was followed or overruled: answer, rule and version, as they were. */
  @Property({ type: 'json', nullable: true })
  decision!: Decision | null;

  /** All that the decision follows from: judged again it gives the same answer. */
  @Property({ type: 'json', nullable: true })
  evidence!: Evidence | null;

  /** The account it was made by; `null` where nobody was signed in. */
  @Property({ type: 'text', nullable: true })
  movedBy!: string | null;

  /** Made on a device without a network, by the evidence it had. */
  @Property({ type: 'boolean' })
  onDevice: boolean & Opt = false;

  @Property({ type: 'datetime' })
  movedAt!: Date;

  /** In which order the server took them; a device's clock may say another. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
