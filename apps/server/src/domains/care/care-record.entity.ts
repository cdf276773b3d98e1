import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { CareBody, TakenBack } from '@orthokin/contract';
import type { CareKind } from '@orthokin/core/people';
import { ClubOwned } from '../../platform/storage/club-owned.js';
import { Sealed } from '../../platform/storage/sealed.js';

/** What was said, under the name of its kind. */
export type Said = Pick<CareBody, 'restriction' | 'check' | 'agreement' | 'goAhead'>;

/** Something said of somebody's care: never changed, only taken back. */
@Entity({ tableName: 'care_record' })
export class CareRecord extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'text' })
  kind!: CareKind;

  @Property({ type: Sealed })
  said!: Said;

  /** The last day of a restriction, for questions asked of many; `null` where it says none. */
  @Property({ type: 'text', nullable: true })
  until!: string | null;

  @Property({ type: 'text' })
  saidBy!: string;

  @Property({ type: 'datetime' })
  saidAt!: Date;

  @Property({ type: 'json', nullable: true })
  takenBack!: TakenBack | null;

  /** In which order the server took them. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
