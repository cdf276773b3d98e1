import { Entity, Property, type Opt } from '@mikro-orm/core';
import type { LadderSettings } from '@orthokin/core/progress';
import { ClubOwned } from '../../platform/storage/club-owned.js';

/** How a pattern's ladder is climbed. Never changed: saving adds a row, and the newest stands. */
@Entity({ tableName: 'ladder' })
export class Ladder extends ClubOwned {
  @Property({ type: 'uuid' })
  patternId!: string;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  @Property({ type: 'json' })
  settings!: LadderSettings;

  /** In which order the server took them; a device's clock may say another. */
  @Property({ type: 'double', columnType: 'bigint', defaultRaw: 'default' })
  readonly seq?: Opt<number>;
}
