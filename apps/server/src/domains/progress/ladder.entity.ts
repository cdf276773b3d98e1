import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { LadderSettings } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** A ladder's settings. Rows never change: saving adds one, and the newest is valid. */
@Entity({ tableName: 'ladder' })
export class Ladder extends ClubOwned {
  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  @Property({ type: 'json' })
  settings!: LadderSettings;

  /** The order in which the server accepted them; device clocks may disagree. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
