import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { OwnLimits } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** Limits of one athlete's own on a pattern's rungs. Saving adds a row, and the newest stands. */
@Entity({ tableName: 'own_ladder' })
export class OwnLadder extends ClubOwned {
  @Property({ type: 'uuid' })
  athleteId!: string;

  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  @Property({ type: 'json' })
  limits!: OwnLimits[];

  /** In which order the server took them; a device's clock may say another. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
