import { Entity, Property } from '@mikro-orm/core';
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
}
