import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { OwnLimits } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** An athlete's own limits on a pattern's rungs. Saving adds a row, and the newest is valid. */
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

  /** The order in which the server accepted them; device clocks may disagree. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
