import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { CareBody, TakenBack } from '@orthokin/contract';
import type { CareKind } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';
import { Sealed } from '../../platform/storage/sealed.js';

/** The content of a record, under the name of its kind. */
export type Said = Pick<CareBody, 'restriction' | 'check' | 'agreement' | 'goAhead'>;

/** A care record: never changed, only withdrawn. */
@Entity({ tableName: 'care_record' })
export class CareRecord extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'text' })
  kind!: CareKind;

  @Property({ type: Sealed })
  said!: Said;

  /** A restriction's last day, in a column of its own for queries over many athletes; `null` if it is open-ended. */
  @Property({ type: 'text', nullable: true })
  until!: string | null;

  @Property({ type: 'text' })
  saidBy!: string;

  @Property({ type: 'datetime' })
  saidAt!: Date;

  @Property({ type: 'json', nullable: true })
  takenBack!: TakenBack | null;

  /** The order in which the server accepted them. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
